<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/**
 * One thing a check found: a stable code, how grave it is, and the figures that decided.
 *
 * The first word of the code (before the colon) names its sentences. A *note* has sentences too, but its
 * code does not go out on the wire.
 *
 * @phpstan-type Params array<string, Said|Word|string|int|list<string>>
 */
final readonly class Finding
{
    /** @param Params $params */
    private function __construct(
        public string $code,
        public Status $status,
        public array $params,
        public bool $note,
        /** A second key for the sentences, where one code is said differently by grade. */
        public string $phrase,
    ) {
    }

    /** @param Params $params */
    public static function of(Status $status, string $code, array $params = [], ?string $phrase = null): self
    {
        return new self($code, $status, $params, false, $phrase ?? explode(':', $code, 2)[0]);
    }

    /** @param Params $params */
    public static function stop(string $code, array $params = [], ?string $phrase = null): self
    {
        return self::of(Status::Stop, $code, $params, $phrase);
    }

    /** @param Params $params */
    public static function watch(string $code, array $params = [], ?string $phrase = null): self
    {
        return self::of(Status::Watch, $code, $params, $phrase);
    }

    /** @param Params $params */
    public static function open(string $code, array $params = [], ?string $phrase = null): self
    {
        return self::of(Status::Open, $code, $params, $phrase);
    }

    /** @param Params $params */
    public static function clear(string $code, array $params = [], ?string $phrase = null): self
    {
        return self::of(Status::Clear, $code, $params, $phrase);
    }

    /** @return array<string, mixed> the finding as data, for the record: what decided, unrounded */
    public function toArray(): array
    {
        $params = array_map(fn (Said|Word|string|int|array $p): mixed => match (true) {
            $p instanceof Said => ['value' => $p->value, 'unit' => $p->unit],
            $p instanceof Word => $p->keys,
            default => $p,
        }, $this->params);

        return ['code' => $this->code, 'status' => $this->status->value, 'note' => $this->note, 'phrase' => $this->phrase, 'params' => $params];
    }

    /** @param Params $params */
    public static function note(string $phrase, array $params = [], Status $status = Status::Clear): self
    {
        return new self($phrase, $status, $params, true, $phrase);
    }
}
