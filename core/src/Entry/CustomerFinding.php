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

/** What was found, in what state it is left and what it needs, for the person who pays: one page, also without a hand over. */
final class CustomerFinding implements Check
{
    use NoContradictions;

    private const LENGTH = 240;

    public function id(): string
    {
        return 'entry.finding';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('sentence', self::LENGTH)->needed(),
            Field::texts('evidence'),
            Field::text('state_left', self::LENGTH)->needed(),
            Field::text('needs', self::LENGTH)->needed(),
            Field::text('cost'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $findings = $in->missing === [] ? [Finding::note('told', ['sentence' => $in->text('sentence')])] : Missing::in($in);

        return new Judgement($findings, basis: [Finding::note('basis')]);
    }
}
