<?php

declare(strict_types=1);

namespace App\Http\Bodies;

use App\Actions\TickBring;
use IronStart\Core\Check\Field;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;

/**
 * What each write asks for in its body, told in the fields the checks are told in: from this it is read, with the same
 * words for what is wrong, and from this the API describes it. By the operation's name.
 */
final class Bodies
{
    private const TEXT = 500;
    private const NAME = 120;
    private const NOTE = 2000;
    private const SOURCE = 240;
    private const DAY = 10;
    private const EMAIL = 255;
    private const PASSWORD = 400;
    private const TOKEN = 80;
    private const LONGEST_DAYS = 730;
    private const LOWEST_M = -430;
    private const HIGHEST_M = 5500;
    private const SAFETY = ['hospital', 'roof_hatch_key', 'gas_shut_off', 'emergency_switch', 'contact', 'access'];

    /** @return list<Field> */
    public static function of(string $operation): array
    {
        $must = fn (string $name, int $length = self::TEXT): Field => Field::text($name, $length)->structural();
        $version = Field::count('version', 1)->structural();
        $seen = Field::count('seen');

        return match ($operation) {
            'addInstrument', 'changeInstrument' => [$must('name', 60), $must('kind', 40), Field::text('serial', 60), Field::text('accuracy', 60), Field::text('due', self::DAY)],
            'review' => [$must('word'), $seen->structural()],
            'sign' => [Field::word('role', 'starter', 'lead')->structural(), Field::raw('strokes'), $seen->structural()],
            'startClock' => [$must('kind', 24), Field::text('name', self::NAME), Field::count('minutes', 1, ClockKind::LONGEST_MINUTES)],
            'stopClock', 'answerReady' => [Field::text('word', self::TEXT)],
            'openItem' => [$must('what', 240), Field::text('owner', self::NAME), Field::text('due', self::DAY), Field::text('check', 40), Field::text('subject', self::NAME)],
            'ownItem' => [$must('owner', self::NAME), $must('due', self::DAY)],
            'finishItem', 'closePutBack' => [$must('word')],
            'askReady' => [$must('what', 160)],
            'makeOwnerLink' => [$must('forWhom', self::NAME), Field::count('days', 1, self::LONGEST_DAYS)->structural()],
            'changeCompany' => [$must('name', self::NAME), Field::word('units', 'us', 'si')->structural(), $must('timeZone', 40), Field::words('facts', ...Job::FACTS), $version],
            'judge' => [Field::word('units', 'us', 'si'), Field::raw('input')],
            'makeSite' => self::site(),
            'changeSite' => [...self::site(), $version],
            'makeJob' => [...self::days(), Field::word('type', ...JobType::words())->structural(), Field::flag('startUpOnly'), Field::words('asked', '1', '2', '3'), Field::words('facts', ...Job::FACTS), self::people()],
            'changeJob' => [...self::days(), self::people(), $version],
            'tickBring' => [$must('item', 160), Field::word('state', ...TickBring::STATES)->structural()],
            'makeMachine' => self::machine(),
            'changeMachine' => [...self::machine(), $version],
            'signIn' => [$must('email', self::EMAIL), $must('password', self::PASSWORD)],
            'signInToDemo' => [$must('name', self::NAME)],
            'prefer' => [Field::word('units', 'us', 'si'), Field::word('theme', 'device', 'light', 'dark'), Field::raw('fieldUnits')],
            'tellFact' => [$must('fact', 40), Field::flag('on')->structural(), $seen, Field::text('reason', self::TEXT)],
            'supplyWork' => [$must('what', 240)],
            'takePartOut' => [$must('subject', self::NAME), $must('why'), $must('wire'), $must('who'), Field::texts('fans', self::NAME)],
            'putPartBack' => [$must('subject', self::NAME), $must('word')],
            'invite' => [$must('name', self::NAME), $must('email', self::EMAIL), $must('role', 12)],
            'changeRole' => [$must('role', 12)],
            'setActive' => [Field::flag('active')->structural()],
            'setLicense' => [Field::text('license', 60)],
            'readLink' => [$must('token', self::TOKEN)],
            'join' => [$must('token', self::TOKEN), $must('password', self::PASSWORD)],
            'record' => [...self::reading(), Field::count('instrument', 1), Field::text('reason', self::TEXT), Field::text('source', self::SOURCE), Field::flag('unchecked')],
            'recordTogether' => [Field::items('parts', $must('check', 40), ...self::reading())->structural(), Field::count('instrument', 1), Field::text('reason', self::TEXT), Field::text('source', self::SOURCE), Field::flag('unchecked')],
            'addToSheet' => [$must('check', 40), $must('subject', self::NAME), Field::raw('input')],
            'rememberLogger' => [Field::raw('mapping')],
            'start' => [Field::flag('unchecked')],
            'note' => [$must('text', self::NOTE), Field::count('gate', 1, 12)],
            'doubt' => [Field::count('at', 1)->structural(), $must('reason')],
            'openPutBack' => [$must('kind', 24), $must('where', 160)],
            'pressController' => [Field::word('press', 'start', 'reset', 'power', 'call', 'off', 'repair')->structural(), Field::texts('units', self::NAME), Field::word('mode', 'cool', 'heat')],
            'openGate' => [Field::count('gate', 1, 12)->structural(), $must('reason')],
            'leavePutBack' => [$must('reason'), $must('owner', self::NAME), $must('due', self::DAY)],
            default => throw new \LogicException("There is no body for $operation."),
        };
    }

    /** @return list<Field> */
    private static function reading(): array
    {
        return [Field::text('subject', self::NAME), Field::raw('input'), Field::count('supersedes', 1)];
    }

    /** @return list<Field> */
    private static function site(): array
    {
        return [Field::text('name', self::NAME)->structural(), Field::text('address', 240), Field::number('altitude', self::LOWEST_M, self::HIGHEST_M), Field::group('safety', ...array_map(fn (string $one): Field => Field::text($one, 240), self::SAFETY))];
    }

    /** @return list<Field> */
    private static function days(): array
    {
        return [Field::text('title', 160)->structural(), Field::text('startsOn', self::DAY)->structural(), Field::text('endsOn', self::DAY)->structural()];
    }

    private static function people(): Field
    {
        return Field::raw('people');
    }

    /** @return list<Field> */
    private static function machine(): array
    {
        return [Field::text('name', 60)->structural(), Field::text('place', self::NAME), Field::text('serial', 60), Field::text('summary', 160), Field::text('history', 2000), Field::count('sheet', 1)];
    }
}
