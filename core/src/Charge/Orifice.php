<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/** The fixed orifice that this outdoor unit wants with this indoor one, by the sheet's table, in thousandths of an inch. */
final class Orifice implements Check
{
    use NoContradictions;

    /** Thousandths of an inch that are the same size. */
    private const SAME = 0.25;

    public function id(): string
    {
        return 'charge.orifice';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $size = fn (string $name): Field => Field::number($name, 20, 250);

        return [
            Field::items('table', Field::text('outdoor')->structural(), Field::text('indoor')->structural(), $size('orifice')->structural(), Field::mass('mass')->readWith(null))->fromSheet('circuit.orifice_table', asStart: true)->needed(),
            Field::text('outdoor')->fromSheet('model', asStart: true)->needed(),
            Field::text('indoor')->needed(),
            $size('installed')->needed(),
            Field::numbers('shipped', 20, 250),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $missing = Missing::in($in);
        $basis = [Finding::note('basis')];
        if (! $in->all('table', 'outdoor', 'indoor')) {
            return new Judgement($missing, basis: $basis);
        }
        $rows = array_values(array_filter($in->items('table'), fn (Input $row): bool => self::plain($row->text('outdoor')) === self::plain($in->text('outdoor')) && self::plain($row->text('indoor')) === self::plain($in->text('indoor'))));
        $pair = ['outdoor' => $in->text('outdoor'), 'indoor' => $in->text('indoor')];
        if ($rows === []) {
            return new Judgement([Finding::open('no_row', $pair), ...$missing], basis: $basis);
        }
        $sizes = array_map(fn (Input $row): float => $row->number('orifice'), $rows);
        if (Limit::over(max($sizes) - min($sizes), self::SAME)) {
            return new Judgement([Finding::open('rows_differ', $pair), ...$missing], basis: $basis);
        }
        if (! $in->given('installed')) {
            return new Judgement($missing, basis: $basis);
        }
        $required = $sizes[0];
        $values = ['required' => Value::of($required, '1')];
        $adder = $rows[0]->maybe('mass');
        if ($adder !== null) {
            $values['adder'] = Value::of(Units::fromCanonical($adder, 'oz', Kind::Mass), 'oz');
        }

        return new Judgement(self::installed($in, $required, $adder), $values, basis: $basis);
    }

    /** @return list<Finding> */
    private static function installed(Input $in, float $required, ?float $adder): array
    {
        $said = ['required' => Said::number($required, 1), 'installed' => Said::number($in->number('installed'), 1)];
        if (! Limit::over(abs($in->number('installed') - $required), self::SAME)) {
            return [Finding::note('right', $said), ...($adder === null ? [] : [Finding::note('with_adder', ['mass' => Said::charge($adder)])])];
        }
        $isThere = array_filter($in->numbers('shipped'), fn (float $one): bool => ! Limit::over(abs($one - $required), self::SAME)) !== [];

        return [Finding::stop('wrong_orifice', $said), Finding::stop($isThere ? 'in_the_box' : 'order_orifice', $said)];
    }

    private static function plain(string $name): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', '', $name));
    }
}
