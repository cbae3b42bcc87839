<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Verdict\Limit;

/** The voltage as a plate writes it: `460`, `208-230`, `208-230/3/60`. */
final readonly class PlateVoltage
{
    private const ACCEPTED = 'a nameplate voltage such as 460, 208-230, 208-230/3/60 or 460V-3Ph-60Hz';
    private const LOWEST = 100;
    private const HIGHEST = 1000;
    /** Neighbouring nominals further apart than this are two connections of one motor, not one range. */
    private const ONE_RANGE = 1.5;
    /** The nominal systems a three-phase service belongs to, V line to line. */
    public const FAMILIES = [208, 240, 400, 480, 600];

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
                throw new \InvalidArgumentException('one voltage: enter the one it is wired for, 208-230 or 460');
            }
        }

        return new self($nominals, $hertz, $text);
    }

    /**
     * What a nameplate prints, in the form the checks take: `460 V`, `460V-3Ph-60Hz`, `208/230 VAC 3 PH 60 HZ`.
     *
     * @return string|null such as `208-230/3/60`; null where it can't be read so
     */
    public static function fromNameplate(string $text): ?string
    {
        $plain = strtoupper(trim($text));
        if (preg_match('#^(\d{3,4}(?:\s*[-/]\s*\d{3,4})*)\s*(?:V(?:AC|OLTS?)?)?(?:[\s,/-]+([13])\s*(?:PH(?:ASE)?|~|/)?)?(?:[\s,/-]*(50|60)\s*(?:HZ|CYCLE)?)?\.?$#D', $plain, $m) !== 1) {
            return null;
        }
        $written = (string) preg_replace('#\s+#', '', $m[1]) . (($m[2] ?? '') !== '' ? "/$m[2]" : '') . (($m[3] ?? '') !== '' ? "/$m[3]" : '');
        try {
            return self::parse($written)->written;
        } catch (\InvalidArgumentException) {
            return null;
        }
    }

    /** Whether two ways to write it name the same voltages, and no other frequency where both name one. */
    public static function areSame(string $one, string $other): bool
    {
        [$a, $b] = array_map(fn (string $text): ?self => ($form = self::fromNameplate($text)) === null ? null : self::parse($form), [$one, $other]);

        return $a !== null && $b !== null && $a->nominals === $b->nominals && ($a->hertz === [] || $b->hertz === [] || $a->hertz === $b->hertz);
    }

    /** Whether a supply of this nominal lies in the plate's range. @param float $nominal V */
    public function suits(float $nominal): bool
    {
        return Limit::within($nominal, $this->min(), $this->max());
    }

    /** The nominal system the plate itself belongs to, V; null where it names several voltages. */
    public function family(): ?float
    {
        return count($this->nominals) === 1 ? self::nearest(array_map(floatval(...), self::FAMILIES), $this->nominals[0]) : null;
    }

    /**
     * The nominal whose ratio to a voltage is nearest to 1.
     *
     * @param non-empty-list<float> $nominals
     */
    public static function nearest(array $nominals, float $volts): float
    {
        $best = $nominals[0];
        foreach ($nominals as $nominal) {
            $best = abs($volts / $nominal - 1) < abs($volts / $best - 1) ? $nominal : $best;
        }

        return $best;
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
