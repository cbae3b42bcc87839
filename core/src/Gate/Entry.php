<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/** One recorded verdict, or what stands of several about the same subject. */
final readonly class Entry
{
    /** @var list<string> */
    private array $dangers;
    private string $name;

    /** @param list<string> $codes */
    public function __construct(
        public string $check,
        public string $subject,
        public Status $status,
        public array $codes,
        /** The machine's own count. */
        public float $at,
        public bool $suspect = false,
    ) {
        $dangers = [];
        foreach ($codes as $code) {
            if (NeverOverridden::is($code, $status)) {
                $dangers[] = $code;
            }
        }
        $this->dangers = $dangers;
        $this->name = "$check:$subject";
    }

    /** What it is about, without the part. */
    public function base(): string
    {
        return self::baseOf($this->subject);
    }

    public static function baseOf(string $subject): string
    {
        return explode('/', $subject, 2)[0];
    }

    /** A verdict with a code that can't be overridden is a stop, whatever it calls itself. */
    public function stops(): bool
    {
        return $this->status === Status::Stop || $this->dangers !== [];
    }

    public function passes(): bool
    {
        return ! $this->stops() && ($this->status === Status::Clear || $this->status === Status::Watch);
    }

    /** @return list<string> its codes that can never be overridden */
    public function dangers(): array
    {
        return $this->dangers;
    }

    /** True when a code, or the first word of one, is this. */
    public function says(string $code): bool
    {
        foreach ($this->codes as $own) {
            if ($own === $code || str_starts_with($own, "$code:")) {
                return true;
            }
        }

        return false;
    }

    public function name(): string
    {
        return $this->name;
    }
}
