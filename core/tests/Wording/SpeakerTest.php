<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Wording;

use IronStart\Core\Core;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Word;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;
use IronStart\Core\Wording\UnknownPhrase;
use PHPUnit\Framework\TestCase;

final class SpeakerTest extends TestCase
{
    public function testTheGravestFindingIsTheHeadlineAndTheOthersTheReasons(): void
    {
        $verdict = $this->say([Finding::watch('sag_watch', ['sag' => Said::percent(3.4)]), Finding::stop('under_voltage', ['leg' => Word::of('leg', 'bc'), 'volts' => Said::volts(409), 'limit' => Said::volts(414)])]);
        self::assertSame('L2–L3 (B–C) reads 409 V; the low limit is 414 V.', $verdict->headline);
        self::assertSame(['Voltage drops 3.4% under load; 5% is a stop.'], $verdict->because);
        self::assertStringStartsWith('Do not run on it.', $verdict->next[0]);
    }

    public function testEachSentenceIsSaidOnce(): void
    {
        $reversed = fn (string $name): Finding => Finding::stop("load_reversed:$name", ['name' => $name, 'evidence' => Word::of('evidence', 'meter_abc')]);
        $verdict = (new Speaker(Phrases::shipped()))->verdict((new Registry())->get('power.rotation'), new Judgement([$reversed('A'), $reversed('B')]), 'us');
        self::assertSame(array_values(array_unique($verdict->next)), $verdict->next);
        self::assertCount(1, $verdict->because, 'the second of two that say the like');
    }

    public function testWhatIsMissingIsNamedAsTheBoxIsLabelled(): void
    {
        $judge = Core::judge();
        self::assertSame('Still need: meter checked live, before, and 7 more.', $judge->judge('power.lockout', ['lock_id' => '7', 'tag_name' => 'x'], 'us')->headline);
        self::assertSame('Still need: C2 L1 amps (A), C2 L2 amps (B) and C2 L3 amps (C).', $judge->judge('power.running_amps', ['loads' => [['name' => 'C2', 'kind' => 'scroll', 'plate_amps' => '5 A']]], 'us')->headline);
        self::assertSame('21 items to go. Next: Locks and tags accounted for, everybody clear.', $judge->judge('list.prestart', [], 'us')->headline);
    }

    public function testTemperaturesFollowTheUnitsAsked(): void
    {
        $input = ['mca' => '30 A', 'mocp' => '50 A', 'breaker' => '40 A', 'conductor' => '8', 'insulation' => 90, 'terminal_rating' => 75];
        self::assertStringContainsString('86 °F', implode(' ', Core::judge()->judge('power.circuit', $input, 'us')->basis));
        self::assertStringContainsString('30 °C', implode(' ', Core::judge()->judge('power.circuit', $input, 'si')->basis));
    }

    public function testAnUnknownCodeIsAnErrorOfOurs(): void
    {
        $this->expectException(UnknownPhrase::class);
        $this->say([Finding::stop('no_such_code')]);
    }

    public function testAVerdictHasItsTenMembersAndAnObjectOfValues(): void
    {
        $wire = Core::judge()->judge('power.lockout', [], 'us')->toArray();
        self::assertSame(['check', 'version', 'status', 'marginal', 'headline', 'because', 'next', 'values', 'codes', 'cautions', 'basis'], array_keys($wire));
        self::assertSame('{}', json_encode($wire['values']));
    }

    /** @param list<Finding> $findings */
    private function say(array $findings): \IronStart\Core\Verdict\Verdict
    {
        return (new Speaker(Phrases::shipped()))->verdict((new Registry())->get('power.voltage'), new Judgement($findings), 'us');
    }

    public function testALimitIsToldApartAsFarAsThreeMoreDecimalsGo(): void
    {
        $say = fn (float $value): string => (new \IronStart\Core\Wording\Formatter())->say(\IronStart\Core\Verdict\Said::percent($value, 2.0), 'us');
        self::assertSame(['2%', '2.04%', '2.0004%', '2%'], array_map($say, [2.0, 2.04, 2.0004, 2.00004]));
    }
}
