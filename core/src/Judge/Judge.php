<?php

declare(strict_types=1);

namespace IronStart\Core\Judge;

use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\InputReader;
use IronStart\Core\Verdict\Verdict;
use IronStart\Core\Wording\Speaker;

/** Reads, judges and words one input: the whole way from raw JSON to a verdict. */
final class Judge
{
    /** @var array<string, list<Field>> */
    private array $fields = [];

    public function __construct(
        public readonly Registry $registry,
        public readonly Speaker $speaker,
    ) {
    }

    /**
     * @throws UnknownCheck
     * @throws InputError
     */
    public function input(string $id, mixed $raw): Input
    {
        $check = $this->registry->get($id);
        $fields = $this->fields[$id] ??= $check->fields();

        return (new InputReader($fields))->read($raw, $check->contradictions(...));
    }

    /** @param 'us'|'si' $units */
    public function judgeInput(string $id, Input $input, string $units): Verdict
    {
        $check = $this->registry->get($id);

        $judgement = $check->judge($input);

        $judgement = $check instanceof Draws ? $judgement->drawn($check::drawing($input, $judgement->values)) : $judgement;

        return $this->speaker->verdict($check, $judgement->asked($units), $units);
    }

    /**
     * @param 'us'|'si' $units
     * @throws UnknownCheck
     * @throws InputError
     */
    public function judge(string $id, mixed $raw, string $units): Verdict
    {
        return $this->judgeInput($id, $this->input($id, $raw), $units);
    }
}
