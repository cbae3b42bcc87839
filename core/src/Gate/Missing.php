<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** One thing a gate still wants: a row's check about a subject, or at the end an entry, an item, a signature. */
final readonly class Missing
{
    public const ROW = 'row';
    public const PUT_BACK = 'put_back';
    public const OPEN_ITEM = 'open_item';
    public const SIGNATURE = 'signature';

    /** @param list<string> $checks of a row: one of them will do */
    private function __construct(
        public string $kind,
        public array $checks,
        /** What the row is about; the id of the entry or item; the role of the signature. */
        public string $subject,
    ) {
    }

    public static function row(Row $row): self
    {
        return new self(self::ROW, $row->checks, $row->subject);
    }

    public static function atTheEnd(string $kind, string $subject): self
    {
        return new self($kind, [], $subject);
    }

    /** As it goes out on the wire. */
    public function name(): string
    {
        return ($this->kind === self::ROW ? implode('|', $this->checks) : $this->kind) . ":$this->subject";
    }
}
