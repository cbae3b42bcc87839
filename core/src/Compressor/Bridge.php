<?php

declare(strict_types=1);

namespace IronStart\Core\Compressor;

use IronStart\Core\Check\Input;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Word;

/** Six diodes, each from a leg to one side of the bus, read by a meter's diode range both ways. */
final readonly class Bridge
{
    /** V; and more is no reading. */
    private const NOTHING = 2.0;
    private const MOST = 10.0;
    private const SHORT_FORWARD = 0.2;
    private const SHORT_REVERSE = 1.0;
    private const HIGH = 0.9;
    private const UNEVEN = 0.1;
    private const SIDES = ['plus', 'minus'];

    /** @var list<Finding> */
    public array $findings;
    /** All of it was read, and none is shorted, open or unsettled. */
    public bool $isGood;
    /** One is shorted or open. */
    public bool $hasFailed;

    /**
     * @param 'rectifier'|'output' $name
     * @param list<Input> $pairs none where they may not be read
     * @param list<string> $legs
     */
    public function __construct(private string $name, array $pairs, array $legs)
    {
        $found = $forwards = $there = [];
        $isGood = $pairs !== [];
        $hasFailed = false;
        foreach ($pairs as $pair) {
            $there[] = self::at($pair);
            $wrong = $this->failed($pair);
            if ($wrong !== null) {
                $found[] = $wrong;
                [$isGood, $hasFailed] = [false, true];
            } elseif (! $pair->all('forward', 'reverse')) {
                $isGood = false;
            } else {
                // What still fills a capacitor backwards was read forwards all the same.
                $isSettled = self::volts($pair, 'reverse') === INF;
                $forwards[] = self::volts($pair, 'forward');
                $found = [
                    ...$found,
                    ...($isSettled ? [] : [Finding::open('not_settled:' . self::at($pair), self::said($pair), 'not_settled')]),
                    ...(Limit::over(end($forwards), self::HIGH) ? [$this->told('watch', 'high', $pair)] : []),
                ];
                $isGood = $isGood && $isSettled;
            }
        }
        if ($forwards !== [] && Limit::over(max($forwards) - min($forwards), self::UNEVEN)) {
            $found[] = Finding::watch("{$name}_uneven", ['spread' => Said::volts(max($forwards) - min($forwards))]);
        }
        foreach ($pairs === [] ? [] : self::missing($legs, $there) as $at) {
            [$leg, $bus] = explode(':', $at);
            $found[] = Finding::open("not_read:$at", ['leg' => Word::of('diode_leg', $leg), 'bus' => Word::of('diode_bus', $bus)], 'not_read_pair');
            $isGood = false;
        }
        [$this->findings, $this->isGood, $this->hasFailed] = [$found, $isGood, $hasFailed];
    }

    /**
     * Volts of the diode range, settled; infinite for OL, and for 2 V and more.
     *
     * @throws \InvalidArgumentException whose message says what is accepted
     */
    public static function diode(string $text): float
    {
        if (strtoupper(trim($text)) === 'OL') {
            return INF;
        }
        $volts = Quantity::parse($text, Kind::Voltage)?->canonical;
        if ($volts === null || $volts < 0.0 || $volts > self::MOST) {
            throw new \InvalidArgumentException('volts of the diode range, 0 to 10 V, or OL');
        }

        return $volts >= self::NOTHING ? INF : $volts;
    }

    private function failed(Input $pair): ?Finding
    {
        $isShorted = ($pair->given('forward') && Limit::under(self::volts($pair, 'forward'), self::SHORT_FORWARD)) || ($pair->given('reverse') && Limit::under(self::volts($pair, 'reverse'), self::SHORT_REVERSE));

        return match (true) {
            $isShorted => $this->told('stop', 'shorted', $pair),
            $pair->given('forward') && self::volts($pair, 'forward') === INF => $this->told('stop', 'open', $pair),
            default => null,
        };
    }

    /** @param 'stop'|'watch' $status */
    private function told(string $status, string $what, Input $pair): Finding
    {
        $code = "{$this->name}_$what:" . self::at($pair);

        return $status === 'stop' ? Finding::stop($code, self::said($pair), "{$this->name}_$what") : Finding::watch($code, self::said($pair), "{$this->name}_$what");
    }

    /** @return array<string, Word> */
    private static function said(Input $pair): array
    {
        return ['leg' => Word::of('diode_leg', $pair->text('leg')), 'bus' => Word::of('diode_bus', $pair->text('bus'))];
    }

    private static function at(Input $pair): string
    {
        return "{$pair->text('leg')}:{$pair->text('bus')}";
    }

    private static function volts(Input $pair, string $way): float
    {
        $volts = $pair->parsed($way);

        return is_float($volts) ? $volts : 0.0;
    }

    /**
     * @param list<string> $legs
     * @param list<string> $there
     * @return list<string> pairs that were left out
     */
    private static function missing(array $legs, array $there): array
    {
        $all = array_merge([], ...array_map(fn (string $leg): array => array_map(fn (string $side): string => "$leg:$side", self::SIDES), $legs));

        return array_values(array_diff($all, $there));
    }
}
