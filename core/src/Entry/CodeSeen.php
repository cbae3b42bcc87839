<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/**
 * A code on the display, read by the equipment sheet: a step is what the unit does just now, a fault is what stopped it.
 * Several causes for one code come each with the cheap test that tells them apart.
 */
final class CodeSeen implements Check
{
    use NoContradictions;

    private const STEP = 'step';

    public function id(): string
    {
        return 'entry.code';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('code', 20)->needed(),
            Field::text('seen_at'),
            Field::items(
                'known',
                Field::text('name', 20)->structural()->fromSheet('code'),
                Field::word('kind', self::STEP, 'fault')->structural()->fromSheet('kind'),
                Field::text('meaning')->fromSheet('meaning'),
                Field::items('causes', Field::text('what')->structural(), Field::text('cheap_test'))->fromSheet('causes'),
            )->uniqueBy('name')->fromSheet('controls.codes'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $code = $in->text('code');
        foreach ($in->items('known') as $one) {
            if (self::isSame($one->text('name'), $code)) {
                return new Judgement(self::read($one), basis: $basis);
            }
        }

        return new Judgement([Finding::watch($in->items('known') === [] ? 'no_list' : 'not_listed', ['code' => $code])], basis: $basis);
    }

    /** @return list<Finding> */
    private static function read(Input $one): array
    {
        $told = ['code' => $one->text('name'), 'meaning' => $one->text('meaning')];
        if ($one->text('kind') === self::STEP) {
            return [Finding::clear('step', $told)];
        }
        $findings = [Finding::watch('fault', $told)];
        foreach ($one->items('causes') as $cause) {
            $test = $cause->given('cheap_test') ? ['test' => $cause->text('cheap_test')] : [];
            $findings[] = Finding::watch("cause:{$cause->text('what')}", ['cause' => $cause->text('what')] + $test, $test === [] ? 'cause' : 'cause_with_test');
        }

        return $findings;
    }

    /** Codes are read off displays: large or small, with a blank or without. */
    private static function isSame(string $one, string $other): bool
    {
        $plain = fn (string $text): string => mb_strtolower((string) preg_replace('/[\s.-]+/', '', $text));

        return $plain($one) === $plain($other);
    }
}
