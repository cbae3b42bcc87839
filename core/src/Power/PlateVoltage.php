<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

/** The voltage as a plate writes it: `460`, `208-230`, `208-230/3/60`. */
final readonly class PlateVoltage
{
    private const ACCEPTED = 'a plate voltage such as 460, 208-230 or 208-230/3/60';
    private const LOWEST = 100;
    private const HIGHEST = 1000;
    /** Neighbouring nominals further apart than this are two connections of one motor, not one range. */
    private const ONE_RANGE = 1.5;

    private function __construct(
        /** @var non-empty-list<float> V, rising */
        public array $nominals,
        /** @var list<int> 50 and 60, where the plate names them */
        public array $hertz,
        public string $written,
    ) {
    }

    /** @throws \InvalidArgumentException whose message says what is accepted */
    public static function parse(string $text): self
    {
        $text = trim($text);
        if (preg_match('#^\d{1,4}(?:[-/]\d{1,4})*$#D', $text) !== 1) {
            throw new \InvalidArgumentException(self::ACCEPTED);
        }
        $nominals = $hertz = [];
        foreach (preg_split('#[-/]#', $text) ?: [] as $part) {
            if (strlen($part) > 2) {
                $nominals[] = (float) $part;
            } elseif ($part === '50' || $part === '60') {
                $hertz[] = (int) $part;
            }
        }
        sort($nominals);
        if ($nominals === [] || $nominals[0] < self::LOWEST || end($nominals) > self::HIGHEST) {
            throw new \InvalidArgumentException(self::ACCEPTED . ', with voltages from 100 to 1000');
        }
        foreach (array_slice($nominals, 1) as $i => $next) {
            if ($next > self::ONE_RANGE * $nominals[$i]) {
                throw new \InvalidArgumentException('one connection; these are two, give the one in use');
            }
        }

        return new self($nominals, $hertz, $text);
    }

    /** Lowest nominal × 0.90, in V: the usual utilisation range of motors. */
    public function min(): float
    {
        return $this->nominals[0] * 0.90;
    }

    /** Highest nominal × 1.10, in V. */
    public function max(): float
    {
        return max($this->nominals) * 1.10;
    }
}
