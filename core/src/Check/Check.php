<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Verdict\Judgement;

/**
 * One check: a pure function from what was read to what it means.
 *
 * The question, the labels and the sentences stand in the phrases, keyed by the id.
 */
interface Check
{
    /** Stable name, such as `power.voltage`. */
    public function id(): string;

    /** Raised whenever the same input may be judged differently. */
    public function version(): int;

    /** @return list<Field> in the order in which errors and missing readings are named */
    public function fields(): array;

    /**
     * What no field can see alone (a name that is used elsewhere, two ends in the wrong order). Fields that
     * were refused already count as not given.
     *
     * @return iterable<InputError>
     */
    public function contradictions(Input $in): iterable;

    public function judge(Input $in): Judgement;
}
