<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/** One recorded verdict, or what stands of several about the same subject. */
final readonly class Recorded
{
    /** @var list<string> */
    private array $dangers;
    public string $name;
    /** What it is about, without the part. */
    public string $base;

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
        $this->base = self::baseOf($subject);
    }

    public static function baseOf(string $subject): string
    {
        $slash = strpos($subject, '/');

        return $slash === false ? $subject : substr($subject, 0, $slash);
    }

    /** A verdict with a code that can't be overridden is a stop, whatever it calls itself. */
    public function stops(): bool
    {
        return $this->status === Status::Stop || $this->dangers !== [];
    }

    public function passes(): bool
    {
        return ($this->status === Status::Clear || $this->status === Status::Watch) && $this->dangers === [];
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

    /** @return list<string> what stands behind the colon of the codes with this first word */
    public function namedBy(string $word): array
    {
        $names = [];
        foreach ($this->codes as $code) {
            if (str_starts_with($code, "$word:")) {
                $names[] = substr($code, strlen($word) + 1);
            }
        }

        return $names;
    }

    /** A watch that names a doubt about the very thing that was asked. */
    public function isUnproved(): bool
    {
        if ($this->status !== Status::Watch) {
            return false;
        }
        foreach ($this->codes as $code) {
            if (isset(CheckTable::UNPROVED[strstr($code, ':', true) ?: $code])) {
                return true;
            }
        }

        return false;
    }

    public function isRunningReading(): bool
    {
        return CheckTable::isRunning($this->check, $this->base);
    }
}
