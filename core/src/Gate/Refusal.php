<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** One reason why nobody may say "starting it now", or "opening the valves now". */
final readonly class Refusal
{
    public const NEEDS = 'needs';
    public const PUT_BACK = 'put_back';
    public const DANGER = 'danger';
    public const MISSING = 'missing';
    public const STOPPED = 'stopped';
    /** Of a cylinder the account does not tell of. */
    public const CYLINDER = 'cylinder';

    public function __construct(
        public string $kind,
        /** The gate, the id of the entry, or the check; '' for a danger. */
        public string $what = '',
    ) {
    }

    /** As it goes out on the wire. */
    public function name(): string
    {
        return $this->what === '' ? $this->kind : "$this->kind:$this->what";
    }
}
