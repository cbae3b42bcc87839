<?php

declare(strict_types=1);

namespace IronStart\Core\Dry;

use IronStart\Core\Air\MoistAir;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether water boils out of the coldest part at this vacuum: its saturation pressure there, over ice or liquid, and the
 * vacuum at no more than 70 % of it.
 */
final class Water implements Check, Draws
{
    use NoContradictions;

    /** % of the pressure at which water boils there. */
    private const ENOUGH = 70.0;
    /** What the gauge may be off by, and the thermometer (K). */
    private const GAUGE = 0.1;
    private const THERMOMETER = 5 / 9;
    private const ZERO = 273.15;

    public function id(): string
    {
        return 'dry.water';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::quantity('vacuum', Kind::AbsolutePressure, 'Pa', 0.002, 120_000)->readWith(Instrument::MicronGauge)->startsIn('micron')->needed(),
            Field::temperature('coldest_part', -90, 100)->readWith(Instrument::Thermometer)->needed(),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['vacuum_to_boil'])) {
            return [];
        }
        $boils = Units::toCanonical((float) $values['vacuum_to_boil']->value, 'micron', Kind::AbsolutePressure);
        $now = $in->maybe('vacuum');

        return Drawn::scale('Pa', min($boils / 50, ($now ?? $boils) / 2), [
            ['to' => self::ENOUGH / 100 * $boils, 'is' => Status::Clear],
            ['to' => max(10 * $boils, 1.5 * ($now ?? 0.0)), 'is' => Status::Watch],
        ], $now, true, ['micron', 'micron']);
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $vacuum = $in->maybe('vacuum');
        $coldest = $in->maybe('coldest_part');
        $boils = $coldest === null ? null : MoistAir::saturation($coldest);
        if ($vacuum !== null) {
            $values['boils_at'] = Value::of(MoistAir::saturatesAt($vacuum) - self::ZERO, 'degC');
        }
        if ($boils !== null) {
            $values['vacuum_to_boil'] = Value::of(Units::fromCanonical($boils, 'micron', Kind::AbsolutePressure), 'micron');
        }
        if ($vacuum === null || $coldest === null || $boils === null) {
            return new Judgement(Missing::in($in), $values, basis: [Finding::note('basis')]);
        }
        $share = 100 * $vacuum / $boils;
        $values['share'] = Value::of($share, '%');
        $u = $share * sqrt(self::GAUGE ** 2 + (MoistAir::saturation($coldest + self::THERMOMETER) / $boils - 1) ** 2);
        $said = ['vacuum' => Said::micron($vacuum), 'boils' => Said::micron($boils), 'coldest' => Said::temperature($coldest)];
        $finding = Limit::over($share, self::ENOUGH) ? Finding::watch('will_not_dry', $said) : Finding::note('boils', $said);
        $isMarginal = Limit::over($share + $u, self::ENOUGH) !== Limit::over($share - $u, self::ENOUGH);

        return new Judgement([$finding], $values, $isMarginal, basis: [Finding::note('basis')]);
    }
}
