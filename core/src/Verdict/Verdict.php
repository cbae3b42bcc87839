<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/** A judgement in words: what goes out on the wire and into the record. */
final readonly class Verdict
{
    /**
     * @param list<string> $because
     * @param list<string> $next
     * @param list<string> $basis
     */
    public function __construct(
        public string $check,
        public int $version,
        public Judgement $judgement,
        public string $headline,
        public array $because,
        public array $next,
        public array $basis,
    ) {
    }

    /** @return array<string, mixed> the ten members, and `drawing` where there is one */
    public function toArray(): array
    {
        $judged = $this->judgement;
        $values = [];
        foreach ($judged->values as $name => $value) {
            $values[$name] = ['value' => $value->value, 'unit' => $value->unit];
        }
        $wire = [
            'check' => $this->check,
            'version' => $this->version,
            'status' => $judged->status->value,
            'marginal' => $judged->marginal,
            'headline' => $this->headline,
            'because' => $this->because,
            'next' => $this->next,
            'values' => $values === [] ? new \stdClass() : $values,
            'codes' => $judged->codes(),
            'cautions' => $judged->cautions,
            'basis' => $this->basis,
        ];
        if ($judged->drawing !== []) {
            $wire['drawing'] = $judged->drawing;
        }

        return $wire;
    }
}
