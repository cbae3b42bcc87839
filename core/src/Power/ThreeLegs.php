<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

/** Three readings that should be alike: average, furthest one and unbalance. */
final readonly class ThreeLegs
{
    public float $average;
    /** The index of the reading furthest from the average; of a tie the first. */
    public int $worst;

    public function __construct(public float $first, public float $second, public float $third)
    {
        $this->average = ($first + $second + $third) / 3;
        $worst = 0;
        foreach ($this->all() as $i => $reading) {
            if (abs($reading - $this->average) > abs($this->all()[$worst] - $this->average) * (1 + 1e-12)) {
                $worst = $i;
            }
        }
        $this->worst = $worst;
    }

    /** @param list<float> $three */
    public static function of(array $three): self
    {
        return new self(...$three);
    }

    /** @return array{float, float, float} */
    public function all(): array
    {
        return [$this->first, $this->second, $this->third];
    }

    /**
     * Largest departure from the average, in percent of the average (the definition motor makers use).
     * An average of zero has none: 0.
     */
    public function unbalance(): float
    {
        return $this->average === 0.0 ? 0.0 : 100 * abs($this->all()[$this->worst] - $this->average) / $this->average;
    }
}
