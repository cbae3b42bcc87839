<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Wording;

use IronStart\Core\Judge\Registry;
use IronStart\Core\Core;
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
        self::assertSame('Leg B to C reads 409 V; the least allowed is 414 V.', $verdict->headline);
        self::assertSame(['Under load the voltage falls by 3.4 %; over 5 % is too much.'], $verdict->because);
        self::assertStringStartsWith('Do not run on it.', $verdict->next[0]);
    }

    public function testEachSentenceIsSaidOnce(): void
    {
        $reversed = fn (string $name): Finding => Finding::stop("load_reversed:$name", ['name' => $name, 'evidence' => Word::of('evidence', 'meter_abc')]);
        $verdict = (new Speaker(Phrases::shipped()))->verdict((new Registry())->get('power.rotation'), new Judgement([$reversed('A'), $reversed('B')]), 'us');
        self::assertSame(array_values(array_unique($verdict->next)), $verdict->next);
        self::assertContains('Read the rotation again.', $verdict->next);
    }

    public function testWhatIsMissingIsOneSentenceByItsLabels(): void
    {
        $open = Core::judge()->judge('power.lockout', ['lock_id' => '7', 'tag_name' => 'x'], 'us');
        self::assertSame('Still to be told: tester proved before, tester proved after, leg A to B, leg B to C, leg C to A, A to ground and 2 more.', $open->headline);
        self::assertSame('Still to be told: amps, line A (1), amps, line B (1) and amps, line C (1).', Core::judge()->judge('power.running_amps', ['loads' => [['name' => 'x', 'kind' => 'pump', 'plate_amps' => '5 A']]], 'us')->headline);
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
        $wire = Core::judge()->judge('power.voltage', [], 'us')->toArray();
        self::assertSame(['check', 'version', 'status', 'marginal', 'headline', 'because', 'next', 'values', 'codes', 'cautions', 'basis'], array_keys($wire));
        self::assertSame('{}', json_encode($wire['values']));
    }

    /** @param list<Finding> $findings */
    private function say(array $findings): \IronStart\Core\Verdict\Verdict
    {
        return (new Speaker(Phrases::shipped()))->verdict((new Registry())->get('power.voltage'), new Judgement($findings), 'us');
    }
}
