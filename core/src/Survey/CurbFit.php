<?php

declare(strict_types=1);

namespace IronStart\Core\Survey;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Scene;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Whether a new unit sits on an old curb: base against outline, opening against opening, both ways round.
 *
 * Plan view, the base centred on the curb; x along the long side, y across, each opening by the corner nearest its own
 * frame's origin. Cover is the common area over the smaller opening of a pair, crossing the common area of supply and
 * return, of which the curb's is meant for the other.
 */
final class CurbFit implements Check, Draws
{
    private const PAIRS = ['supply', 'return'];
    /** m an opening may stand out of its frame by the tape's reading. */
    private const TAPE = 0.001;
    private const INCH = 0.0254;
    /** m; further than that no adapter reaches. */
    private const NO_ADAPTER = 12 * self::INCH;
    /** m the base may fall short of the curb: within the gasket. */
    private const SHORT = 0.25 * self::INCH;
    /** % */
    private const CROSSING = 2.0;
    private const COVER_LOW = 80.0;
    private const COVER_FAIR = 95.0;
    private const CHOKED = 80.0;
    /** What the measures may be off by: m, °, points of %. */
    private const OFF = ['overhang_length' => 0.125 * self::INCH, 'overhang_width' => 0.125 * self::INCH, 'level' => 0.1,
        'supply_cover' => 2.0, 'return_cover' => 2.0, 'crossing' => 1.0, 'other_supply_cover' => 2.0, 'other_return_cover' => 2.0,
        'other_crossing' => 1.0, 'supply_open' => 2.0, 'return_open' => 2.0, 'other_supply_open' => 2.0, 'other_return_open' => 2.0];

    public function id(): string
    {
        return 'survey.curb_fit';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $measure = fn (string $name): Field => Field::length($name)->startsIn('in')->takesFractions()->needed();
        $opening = fn (string $name): Field => Field::group($name, $measure('x'), $measure('y'), $measure('length')->positive(), $measure('width')->positive())->needed();
        $openings = fn (string $name): Field => Field::group($name, ...array_map($opening, self::PAIRS))
            ->neededWhen(fn (Input $in): bool => $in->text('discharge') !== 'side');

        return [
            Field::group('curb_outside', $measure('length'), $measure('width'))->needed(),
            Field::group('unit_base', $measure('length'), $measure('width'), Field::length('overhang_allowed')->startsIn('in')->takesFractions()->default('1 in'))->fromSheet('unit_base', asStart: true)->needed(),
            $openings('curb_openings'),
            $openings('unit_openings')->fromSheet('unit_openings', asStart: true),
            Field::choice('unit_rotation', 0, 180)->default(0),
            Field::group('adapter', Field::length('height')->startsIn('in')->takesFractions(), Field::mass('weight')->readWith(null)),
            Field::word('discharge', 'down', 'side')->default('down'),
            Field::quantity('out_of_level', Kind::Angle, 'deg', 0, 10),
            Field::quantity('level_limit', Kind::Angle, 'deg', 0.05, 5)->default('1 deg'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach (['curb_openings' => 'curb_outside', 'unit_openings' => 'unit_base'] as $openings => $frame) {
            foreach (self::PAIRS as $pair) {
                $opening = $in->group($openings)?->group($pair);
                $outline = $in->group($frame);
                if ($opening === null || $outline === null || ! $opening->all('x', 'y', 'length', 'width') || ! $outline->all('length', 'width')) {
                    continue;
                }
                foreach (['x' => 'length', 'y' => 'width'] as $from => $side) {
                    if ($opening->number($from) + $opening->number($side) > $outline->number($side) + self::TAPE) {
                        yield new InputError("$openings.$pair", $opening->number($from) + $opening->number($side), 'an opening inside its frame', "$openings.$pair: the opening reaches past the frame: $from and $side together are more than the frame's $side. Measure it again.");
                        break;
                    }
                }
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['lifting', 'drilling_blind', 'asbestos'];
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $judged = self::judged($in);
        $codes = self::codes($in, $judged);
        $values = [];
        foreach (['overhang_length', 'overhang_width'] as $name) {
            $values[$name] = Value::small($judged[$name]);
        }
        foreach (['supply_cover', 'return_cover', 'crossing', 'other_supply_cover', 'other_return_cover', 'other_crossing'] as $name) {
            if (isset($judged[$name])) {
                $values[$name] = Value::of($judged[$name], '%');
            }
        }
        $findings = [];
        foreach ($codes as $code => $status) {
            $findings[] = self::said($in, (string) $code, $status, $judged);
        }
        $findings[] = Finding::note('panels', ['way' => $in->text('discharge')]);
        if (! $in->given('out_of_level')) {
            $findings[] = Finding::note('put_a_level');
        }
        $marginal = Uncertainty::decides(
            fn (array $j): Status => array_reduce(self::codes($in, $j), fn (Status $worst, Status $one): Status => $worst->worse($one), Status::Clear),
            $judged,
            array_intersect_key(self::OFF, $judged),
        );

        return new Judgement($findings, $values, $marginal, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        $curb = $in->group('curb_outside');
        // Until the curb is measured the base stands alone.
        $outline = $curb?->all('length', 'width') === true ? $curb : $in->group('unit_base');
        if ($outline === null || ! $outline->all('length', 'width')) {
            return [];
        }
        [$length, $width] = [$outline->number('length'), $outline->number('width')];
        $gap = max($length, $width) / 14;
        $scene = Scene::plan(true);
        if ($outline === $curb) {
            $scene->box('curb', 0, 0, $length, $width, 'curb', 'plain', 'below')
                ->dim([0, 0], [$length, 0], -2.6 * $gap, $length, 'curb_outside.length')
                ->dim([0, 0], [0, $width], 1.7 * $gap, $width, 'curb_outside.width')
                ->handle('', [$length, $width / 2], 'curb_outside.length')
                ->handle('', [$length / 2, $width], '', 'curb_outside.width');
        }
        $base = $in->group('unit_base');
        $turned = $in->int('unit_rotation') === 180;
        $openings = $in->text('discharge') === 'down';
        self::drawOpenings($scene, $openings ? $in->group('curb_openings') : null, 'curb_openings', [0.0, 0.0], [$length, $width], false);
        if ($base !== null && $base->all('length', 'width')) {
            [$long, $wide] = [$base->number('length'), $base->number('width')];
            [$x, $y] = [($length - $long) / 2, ($width - $wide) / 2];
            $allowed = $base->number('overhang_allowed');
            $is = fn (float $over): string => Limit::under($over, -self::SHORT) || Limit::over($over, $allowed) ? 'stop' : 'plain';
            $scene->box('base', $x, $y, $long, $wide, 'unit_base', 'over', 'top')
                ->dim([$x, $wide + $y], [$x + $long, $wide + $y], 1.7 * $gap, $long, 'unit_base.length')
                ->dim([$x + $long, $y], [$x + $long, $y + $wide], -1.7 * $gap, $wide, 'unit_base.width')
                ->dim([$x, $width / 2], [0, $width / 2], 0.0, -$x, '', $is(-$x))
                ->dim([0.8 * $length, $y], [0.8 * $length, 0], 0.0, -$y, '', $is(-$y));
            self::drawOpenings($scene, $openings ? $in->group('unit_openings') : null, 'unit_openings', [$x, $y], [$long, $wide], $turned);
        }

        return $scene->drawing();
    }

    /**
     * @param array{float, float} $at   the frame's corner
     * @param array{float, float} $size of the frame
     */
    private static function drawOpenings(Scene $scene, ?Input $openings, string $path, array $at, array $size, bool $turned): void
    {
        foreach (self::PAIRS as $pair) {
            $opening = $openings?->group($pair);
            $rect = self::rect($opening, $size, $turned);
            if ($opening === null || $rect === null) {
                continue;
            }
            [$x, $y, $length, $width] = [$at[0] + $rect[0], $at[1] + $rect[1], $rect[2], $rect[3]];
            $isCurb = $path === 'curb_openings';
            $scene->box("$path.$pair", $x, $y, $length, $width, ($isCurb ? 'curb_' : 'unit_') . $pair, $isCurb ? 'hole' : 'cut', $isCurb ? 'below' : 'above');
            // The unit's openings are the submittal's; the curb's are what was measured.
            if ($isCurb) {
                $scene->handle("$path.$pair", [$x + $length / 2, $y + $width / 2], "$path.$pair.x", "$path.$pair.y", [$opening->number('x'), $opening->number('y')]);
            }
        }
    }

    /**
     * What is judged: m, °, %. Without openings to compare, those are left out.
     *
     * @return array<string, float>
     */
    private static function judged(Input $in): array
    {
        [$curb, $base] = [self::outline($in, 'curb_outside'), self::outline($in, 'unit_base')];
        $judged = [
            'overhang_length' => ($base[0] - $curb[0]) / 2,
            'overhang_width' => ($base[1] - $curb[1]) / 2,
        ];
        if ($in->given('out_of_level')) {
            $judged['level'] = $in->number('out_of_level');
        }
        if ($in->text('discharge') === 'side') {
            return $judged;
        }
        $asked = $in->int('unit_rotation') === 180;
        foreach (['' => $asked, 'other_' => ! $asked] as $prefix => $turned) {
            foreach (self::lies($in, $curb, $base, $turned) as $name => $share) {
                $judged["$prefix$name"] = $share;
            }
        }

        return $judged;
    }

    /**
     * How the openings lie on each other one way round, in %.
     *
     * @param array{float, float} $curb
     * @param array{float, float} $base
     * @return array<string, float>
     */
    private static function lies(Input $in, array $curb, array $base, bool $turned): array
    {
        $shift = [($curb[0] - $base[0]) / 2, ($curb[1] - $base[1]) / 2];
        $holes = $cuts = [];
        foreach (self::PAIRS as $pair) {
            $holes[$pair] = self::rect($in->group('curb_openings')?->group($pair), $curb, false) ?? throw new \LogicException('No opening.');
            $cut = self::rect($in->group('unit_openings')?->group($pair), $base, $turned) ?? throw new \LogicException('No opening.');
            $cuts[$pair] = [$cut[0] + $shift[0], $cut[1] + $shift[1], $cut[2], $cut[3]];
        }

        return [
            'supply_cover' => self::share($holes['supply'], $cuts['supply']),
            'return_cover' => self::share($holes['return'], $cuts['return']),
            'crossing' => max(self::share($holes['supply'], $cuts['return']), self::share($holes['return'], $cuts['supply'])),
            'supply_open' => 100 * self::common($holes['supply'], $cuts['supply']) / self::area($cuts['supply']),
            'return_open' => 100 * self::common($holes['return'], $cuts['return']) / self::area($cuts['return']),
        ];
    }

    /**
     * @param array{float, float, float, float} $a
     * @param array{float, float, float, float} $b
     * @return float % that the common area is of the smaller one
     */
    private static function share(array $a, array $b): float
    {
        return 100 * self::common($a, $b) / min(self::area($a), self::area($b));
    }

    /** @param array{float, float, float, float} $rect */
    private static function area(array $rect): float
    {
        return $rect[2] * $rect[3];
    }

    /**
     * Every code with how grave it is.
     *
     * @param array<string, float> $judged
     * @return array<string, Status>
     */
    private static function codes(Input $in, array $judged): array
    {
        $over = [$judged['overhang_length'], $judged['overhang_width']];
        $level = $judged['level'] ?? 0.0;
        $limit = $in->number('level_limit');
        $allowed = $in->group('unit_base')?->number('overhang_allowed') ?? 0.0;
        $own = array_filter([
            'base_short' => Limit::under(min($over), -self::SHORT),
            'overhang_over' => Limit::over(max($over), $allowed),
            'not_level' => Limit::over($level, $limit),
        ]);
        $grade = self::grade($judged, '');
        $beside = match ($grade) {
            'crossed', 'cover_low', 'cover_fair' => [$grade],
            default => [],
        };
        if (Limit::over(max(abs($over[0]), abs($over[1])), self::NO_ADAPTER)) {
            return self::with(['new_curb' => Status::Stop], [...array_keys($own), ...$beside], Status::Stop);
        }
        $adapter = $in->given('adapter') ? Status::Watch : Status::Stop;
        if ($own !== []) {
            return self::with(['adapter' => $adapter], [...array_keys($own), ...$beside], $adapter);
        }
        $turned = $in->int('unit_rotation') === 180;
        $offLevel = Limit::over($level, $limit / 2) ? ['off_level' => Status::Watch] : [];
        if ($grade === 'clear' || $grade === 'cover_fair') {
            $codes = self::with([$turned ? 'direct_turned' : 'direct' => $grade === 'clear' ? Status::Clear : Status::Watch], $beside, Status::Watch);
            foreach (self::PAIRS as $pair) {
                if (Limit::under($judged["{$pair}_open"] ?? 100.0, self::CHOKED)) {
                    $codes["choked:$pair"] = Status::Watch;
                }
            }

            return $codes + $offLevel;
        }
        if (in_array(self::grade($judged, 'other_'), ['clear', 'cover_fair'], true)) {
            return self::with(['turn_unit' => Status::Stop, $turned ? 'direct' : 'direct_turned' => Status::Clear], $beside, Status::Stop) + $offLevel;
        }

        return self::with(['adapter' => $adapter], $beside, $adapter) + $offLevel;
    }

    /** @param array<string, float> $judged */
    private static function grade(array $judged, string $way): string
    {
        if (! isset($judged["{$way}crossing"])) {
            return 'clear';
        }
        $cover = min($judged["{$way}supply_cover"], $judged["{$way}return_cover"]);

        return match (true) {
            Limit::over($judged["{$way}crossing"], self::CROSSING) => 'crossed',
            Limit::under($cover, self::COVER_LOW) => 'cover_low',
            Limit::under($cover, self::COVER_FAIR) => 'cover_fair',
            default => 'clear',
        };
    }

    /**
     * @param array<string, Status> $codes
     * @param list<string>          $more
     * @return array<string, Status>
     */
    private static function with(array $codes, array $more, Status $status): array
    {
        foreach ($more as $code) {
            $codes[$code] = $status;
        }

        return $codes;
    }

    /** @param array<string, float> $judged */
    private static function said(Input $in, string $code, Status $status, array $judged): Finding
    {
        $over = max(abs($judged['overhang_length']), abs($judged['overhang_width']));
        $ends = ['length' => Said::small($judged['overhang_length']), 'width' => Said::small($judged['overhang_width'])];
        $cover = isset($judged['crossing']) ? min($judged['supply_cover'], $judged['return_cover']) : 0.0;
        $allowed = $in->group('unit_base')?->number('overhang_allowed') ?? 0.0;
        $down = $in->text('discharge') === 'down';
        [$name, $pair] = [...explode(':', $code, 2), ''];

        return match ($name) {
            'direct', 'direct_turned' => $status === Status::Clear && isset($judged['crossing']) && self::grade($judged, '') !== 'clear'
                ? Finding::of($status, $code, [], "{$code}_then")
                : ($down ? Finding::of($status, $code, $ends + ['cover' => Said::percent($cover)]) : Finding::of($status, $code, $ends, "{$code}_side")),
            'adapter' => Finding::of($status, $code, [], $status === Status::Watch ? 'adapter_ready' : 'adapter'),
            'new_curb' => Finding::of($status, $code, ['over' => Said::small($over, self::NO_ADAPTER)]),
            'base_short' => Finding::of($status, $code, ['by' => Said::small(-min($judged['overhang_length'], $judged['overhang_width']), self::SHORT)]),
            'overhang_over' => Finding::of($status, $code, ['over' => Said::small(max($judged['overhang_length'], $judged['overhang_width']), $allowed), 'allowed' => Said::small($allowed)]),
            'not_level' => Finding::of($status, $code, ['level' => Said::angle($judged['level'], $in->number('level_limit')), 'limit' => Said::angle($in->number('level_limit'))]),
            'off_level' => Finding::of($status, $code, ['level' => Said::angle($judged['level'])]),
            'crossed' => Finding::of($status, $code, ['share' => Said::percent($judged['crossing'], self::CROSSING)]),
            'cover_low' => Finding::of($status, $code, ['cover' => Said::percent($cover, self::COVER_LOW)]),
            'cover_fair' => Finding::of($status, $code, ['cover' => Said::percent($cover, self::COVER_FAIR)]),
            'choked' => Finding::of($status, $code, ['opening' => Word::of('opening', $pair), 'share' => Said::percent($judged["{$pair}_open"], self::CHOKED)]),
            default => Finding::of($status, $code),
        };
    }

    /** @return array{float, float} m, length and width */
    private static function outline(Input $in, string $name): array
    {
        $group = $in->group($name);

        return $group === null ? [0.0, 0.0] : [$group->number('length'), $group->number('width')];
    }

    /**
     * An opening in its frame: x, y, length, width in m; null while a measure is missing.
     *
     * @param array{float, float} $frame
     * @return array{float, float, float, float}|null
     */
    private static function rect(?Input $opening, array $frame, bool $turned): ?array
    {
        if ($opening === null || ! $opening->all('x', 'y', 'length', 'width')) {
            return null;
        }
        [$x, $y, $length, $width] = [$opening->number('x'), $opening->number('y'), $opening->number('length'), $opening->number('width')];

        return $turned ? [$frame[0] - $x - $length, $frame[1] - $y - $width, $length, $width] : [$x, $y, $length, $width];
    }

    /**
     * @param array{float, float, float, float} $a
     * @param array{float, float, float, float} $b
     * @return float m2 they have in common
     */
    private static function common(array $a, array $b): float
    {
        $span = fn (int $i): float => max(0.0, min($a[$i] + $a[$i + 2], $b[$i] + $b[$i + 2]) - max($a[$i], $b[$i]));

        return $span(0) * $span(1);
    }
}
