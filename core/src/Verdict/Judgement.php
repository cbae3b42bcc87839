<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/** What a check decided, before anything is put in words. */
final readonly class Judgement
{
    public Status $status;

    /**
     * @param list<Finding>        $findings the deciding one first among equals
     * @param array<string, Value> $values
     * @param list<string>         $cautions ids of the catalogue
     * @param list<Finding>        $basis    which rule, sheet line or default decided, as notes
     * @param array<string, mixed> $drawing  points and names for the bench, in SI
     * @param list<Effect>         $sets     what a recording of it sets off
     */
    public function __construct(
        public array $findings,
        public array $values = [],
        public bool $marginal = false,
        public array $cautions = [],
        public array $basis = [],
        public array $drawing = [],
        public array $sets = [],
    ) {
        $this->status = self::worst($findings);
    }

    /** @param array<string, mixed> $drawing */
    public function drawn(array $drawing): self
    {
        return new self($this->findings, $this->values, $this->marginal, $this->cautions, $this->basis, $drawing, $this->sets);
    }

    /**
     * With its figures in the units asked for.
     *
     * @param 'us'|'si' $units
     */
    public function asked(string $units): self
    {
        return new self($this->findings, array_map(fn (Value $v): Value => $v->asked($units), $this->values), $this->marginal, $this->cautions, $this->basis, Drawn::asked($this->drawing, $units), $this->sets);
    }

    /** @param list<Finding> $findings */
    public static function worst(array $findings): Status
    {
        $status = Status::Clear;
        foreach ($findings as $finding) {
            $status = $status->worse($finding->status);
        }

        return $status;
    }

    /** @return list<string> the codes for the wire, each once, in the order found */
    public function codes(): array
    {
        $codes = [];
        foreach ($this->findings as $finding) {
            if (! $finding->note) {
                $codes[$finding->code] = true;
            }
        }

        return array_map(strval(...), array_keys($codes));
    }
}
