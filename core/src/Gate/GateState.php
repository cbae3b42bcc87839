<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** One of the twelve gates as it is now. */
final class GateState
{
    public const NOT_ON_JOB = 'not_on_job';
    public const NOT_YET = 'not_yet';
    public const ASKING = 'asking';
    public const STOPPED = 'stopped';
    public const ANSWERED = 'answered';
    public const OVERRIDDEN = 'overridden';

    public string $state = self::NOT_YET;
    /** @var list<Missing> */
    public array $missing = [];
    /** The verdict that speaks for it. */
    public ?Recorded $deciding = null;
    public bool $shut = false;
    /** Answered with a part out of service, or left to somebody. */
    public bool $conditional = false;
    /** @var list<Recorded> stops nobody covers */
    public array $stopped = [];
    /** @var list<Recorded> stops and unproved watches an override covers */
    public array $covered = [];
    /** A stop of a kind nobody may override stands in it. */
    public bool $notOverridable = false;
    public bool $overrideRefused = false;
    /** A standing verdict of it is a watch. */
    public bool $watch = false;
    public bool $outOfOrder = false;
    /** @var list<Recorded> what was read before something that made it worthless, of rows that are missing */
    public array $stale = [];
    /** @var list<string> ids of put-back entries that hold it */
    public array $putBack = [];

    public function __construct(
        public readonly int $gate,
        public readonly bool $isOnJob,
        /** Why it is not on the job, as a key of the phrases. */
        public readonly ?string $whyNot,
    ) {
    }

    /** Nothing more is to be done for it. */
    public function isDone(): bool
    {
        return $this->state === self::ANSWERED || $this->state === self::OVERRIDDEN;
    }

    /** Those that need it may go on. */
    public function isMet(): bool
    {
        return $this->isDone() || $this->state === self::NOT_ON_JOB;
    }
}
