<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Plan;

use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Plan\BringItem;
use IronStart\Core\Plan\BringList;
use IronStart\Core\Sheet\EquipmentSheet;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a job needs on the van. */
final class BringListTest extends TestCase
{
    private const SHEET = [
        'electrical' => ['lug_torque' => '35 ft.lb', 'mocp' => '40 A'],
        'circuits' => [['name' => 'A', 'refrigerant' => 'R-454B', 'charge_rule' => ['factory_charge' => '148 oz']], ['name' => 'B', 'refrigerant' => 'R-454B', 'charge_rule' => ['factory_charge' => '148 oz']]],
        'air' => ['filters' => [['size' => '20 x 20 x 2', 'count' => 6]]],
        'kit' => [['what' => 'drain trap', 'count' => 1], ['what' => 'hail guard'], ['count' => 2], 'loose'],
        'papers' => [['title' => 'Installation and start-up', 'where' => 'door'], ['where' => 'nowhere']],
        'tools' => ['communication lead', 7],
    ];
    private const START = ['locks', 'tester', 'rotation', 'clamp', 'psychrometer', 'manometer', 'keys'];

    /** @return iterable<string, array{JobType, bool, list<string>, list<string>, list<string>}> type, start-up only, facts, circuits that were opened, what is brought */
    public static function jobs(): iterable
    {
        yield 'a start-up' => [JobType::Rooftop, true, [], [], self::START];
        yield 'on a roof' => [JobType::Rooftop, true, ['on_roof'], [], ['locks', 'fall', 'tester', 'rotation', 'clamp', 'psychrometer', 'manometer', 'keys']];
        yield 'gas and belts' => [JobType::Rooftop, true, ['gas_heat', 'belt'], [], ['locks', 'tester', 'rotation', 'clamp', 'psychrometer', 'manometer', 'analyzer', 'belts', 'keys']];
        foreach (['tripped', 'ran_reversed', 'failed_compressor', 'sister_fault'] as $fact) {
            yield $fact => [JobType::Rooftop, true, [$fact], [], ['locks', 'tester', 'rotation', 'megohmmeter', 'clamp', 'psychrometer', 'manometer', 'keys']];
        }
        yield 'a unit craned in' => [JobType::Rooftop, false, ['craned'], [], ['locks', 'fall', 'tester', 'rotation', 'clamp', 'psychrometer', 'manometer', 'recovery', 'scale', 'radios', 'keys', 'crane_permit']];
        yield 'a circuit opened' => [JobType::Rooftop, true, [], ['A'], ['locks', 'extinguisher', 'tester', 'rotation', 'clamp', 'psychrometer', 'manometer', 'micron', 'nitrogen', 'scale', 'torch', 'drier', 'keys', 'hot_work']];
        yield 'without brazing, with flares' => [JobType::Rooftop, true, ['no_brazing', 'flares'], ['A'], ['locks', 'tester', 'rotation', 'clamp', 'psychrometer', 'manometer', 'micron', 'nitrogen', 'scale', 'flaring', 'drier', 'keys']];
        yield 'a compressor' => [JobType::Compressor, false, [], ['A'], ['locks', 'extinguisher', 'tester', 'rotation', 'megohmmeter', 'clamp', 'psychrometer', 'manometer', 'micron', 'recovery', 'nitrogen', 'scale', 'torch', 'drier', 'keys', 'hot_work']];
    }

    /**
     * @param list<string> $facts
     * @param list<string> $opened
     * @param list<string> $brought
     */
    #[DataProvider('jobs')]
    public function testWhatAJobAsksForIsBrought(JobType $type, bool $startUpOnly, array $facts, array $opened, array $brought): void
    {
        self::assertSame($brought, self::ids([self::unit([], $type, $startUpOnly, $facts, $opened)]));
    }

    public function testASheetTellsSizesAmountsAndPapers(): void
    {
        $said = self::said([self::unit(self::SHEET)]);
        foreach (['Torque wrench that reads 35 ft·lb', 'Spare fuses, 40 A at most', '6 filters 20 x 20 x 2', '1 × drain trap', '1 × hail guard', 'Manual: Installation and start-up', 'Communication lead', 'Gauges, hoses and adapters for R-454B', 'Leak detector for R-454B, and soap', 'Recovery machine, pump and detector listed for R-454B: it burns'] as $words) {
            self::assertContains($words, $said);
        }
        self::assertNotContains('Virgin R-454B', $said, 'a factory charge that nobody lets out');
        self::assertCount(1, array_filter($said, fn (string $s): bool => str_starts_with($s, 'Manual')));
    }

    public function testWhatGoesInIsBroughtByTheCharge(): void
    {
        $old = ['circuits' => [['name' => 'A', 'refrigerant' => 'R-22']]];
        self::assertContains('Virgin R-454B: 18 lb 8 oz is the factory charge, and some for lines', self::said([self::unit(self::SHEET, opened: ['A'])]));
        $said = self::said([self::unit($old, opened: ['A'])]);
        self::assertContains('Virgin R-22', $said);
        self::assertNotContains('Recovery machine, pump and detector listed for R-22: it burns', $said);
    }

    public function testUnitsAreAddedUpAndAThingStandsOnce(): void
    {
        $one = self::unit(self::SHEET);
        $said = self::said([$one, $one, self::unit(['electrical' => ['mocp' => '60 A', 'lug_torque' => 'tight']], facts: ['belt'])]);
        foreach (['Locks, tags and hasps for 3 disconnects', '12 filters 20 x 20 x 2', '2 × drain trap', 'Spare fuses, 40 A at most', 'Spare fuses, 60 A at most', 'Spare belts and a tension gauge'] as $words) {
            self::assertContains($words, $said);
        }
        self::assertSame(array_values(array_unique($said)), $said);
        self::assertSame(['safety', 'meters', 'refrigerant', 'tools', 'parts', 'papers'], array_values(array_unique(array_map(fn (BringItem $i): string => $i->group->value, BringList::of([$one])))));
        self::assertContains('Lock, tag and hasp for the disconnect', self::said([$one]));
        self::assertSame([], self::ids([]));
    }

    public function testEveryPhraseIsSaidOfSomeJob(): void
    {
        $all = [self::unit(self::SHEET, JobType::Compressor, false, ['gas_heat', 'belt', 'craned', 'flares'], ['A']), self::unit(['circuits' => [['name' => 'A', 'refrigerant' => 'R-22']]], opened: ['A'])];
        $ids = array_map(fn (string $id): string => strstr($id, ':', true) ?: $id, self::ids($all));
        $phrases = array_keys((require dirname(__DIR__, 2) . '/phrases/en/plan.php')['plan.bring']['say']);
        self::assertSame([], array_diff($phrases, [...$ids, 'virgin_of']));
        self::assertSame([], array_diff(array_map(fn (BringItem $i): string => $i->words->phrase, BringList::of($all)), $phrases));
    }

    /**
     * @param array<string, mixed> $sheet
     * @param list<string> $facts
     * @param list<string> $opened
     * @return array{job: Job, sheet: EquipmentSheet}
     */
    private static function unit(array $sheet, JobType $type = JobType::Rooftop, bool $startUpOnly = true, array $facts = [], array $opened = []): array
    {
        return ['job' => Job::of($type, $startUpOnly, [], $facts, [], [], $opened, [], [], [], [], []), 'sheet' => new EquipmentSheet($sheet)];
    }

    /**
     * @param list<array{job: Job, sheet: EquipmentSheet}> $units
     * @return list<string>
     */
    private static function ids(array $units): array
    {
        return array_map(fn (BringItem $item): string => $item->id, BringList::of($units));
    }

    /**
     * @param list<array{job: Job, sheet: EquipmentSheet}> $units
     * @return list<string>
     */
    private static function said(array $units): array
    {
        $speaker = new Speaker(Phrases::shipped());

        return array_map(fn (BringItem $item): string => $speaker->sentence('plan.bring', $item->words, 'us'), BringList::of($units));
    }
}
