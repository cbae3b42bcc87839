<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;

/** One matter on one page: for the curb shop, the crane company, the supplier and the owner who chooses. */
final class OnePageTest extends FeatureTestCase
{
    private const CURB = ['curb_outside' => ['length' => '88 in', 'width' => '54 in'], 'unit_base' => ['length' => '84 in', 'width' => '50 in'], 'discharge' => 'side'];
    private const OPTIONS = [
        'required_tons' => '20 ton',
        'existing' => ['feeder_ampacity' => '200 A', 'feeder_breaker' => '200 A', 'phases' => 3, 'voltage' => '208 V', 'circuits' => 1],
        'options' => [
            ['name' => 'one of 20', 'machines' => [['tons' => '20 ton', 'phases' => 3, 'mca' => '92 A', 'mocp' => '110 A']], 'equipment_cost' => 31400, 'labour_hours' => 30, 'lead_days' => 40],
            ['name' => 'two of 10', 'machines' => [['tons' => '10 ton', 'phases' => 3, 'mca' => '47 A', 'mocp' => '60 A'], ['tons' => '10 ton', 'phases' => 3, 'mca' => '47 A', 'mocp' => '60 A']], 'equipment_cost' => 29800, 'labour_hours' => 40, 'lead_days' => 10],
        ],
        'hourly_rate' => 110,
    ];

    private User $lead;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->machine = $this->machine($this->lead);
    }

    public function testAPageIsThereOnceItsFirstCheckIs(): void
    {
        $this->page('curb.pdf')->assertNotFound();
        self::assertSame([], $this->pages());
        $this->record($this->lead, $this->machine, 'survey.curb_fit', self::CURB)->assertCreated();
        self::assertSame(['curb'], $this->pages());
        $this->page('curb.pdf')->assertOk()->assertHeader('Content-Type', 'application/pdf');
        $this->page('crane.pdf')->assertNotFound();
        $this->page('everything.pdf')->assertNotFound();
        $this->write($this->lead, "machines/{$this->machine->id}/suspects", ['at' => 1, 'reason' => 'wrong curb'])->assertCreated();
        $this->page('curb.svg')->assertNotFound();
    }

    public function testAsADrawingItHoldsTheUnitToScaleAndWhatWasMeasured(): void
    {
        $this->record($this->lead, $this->machine, 'survey.curb_fit', self::CURB)->assertCreated();
        $svg = (string) $this->page('curb.svg')->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent();
        $page = simplexml_load_string($svg);
        self::assertNotFalse($page);
        self::assertCount(1, $page->svg, 'the drawing');
        self::assertStringContainsString('Curb length: 88 in.', strip_tags(str_replace('</text>', "\n", $svg)));
        self::assertStringContainsString('RTU-9, ', $svg);
    }

    public function testWhatIsReadOfOneRowOfTheChartStandsTogetherAndAllOfItOnOnePage(): void
    {
        $crane = ['roof_height' => '24 ft', 'parapet_height' => '2 ft', 'unit_height' => '50 in', 'unit_length' => '88 in', 'sling_height' => '8 ft', 'edge_distance' => '25 ft', 'setback' => '25 ft', 'gross_load' => '1290 lb', 'chart' => [['boom' => '70 ft', 'radius' => '40 ft', 'capacity' => '8200 lb'], ['boom' => '90 ft', 'radius' => '50 ft', 'capacity' => '6800 lb']]];
        $rig = ['unit_weight' => '1230 lb', 'weight_source' => 'tag', 'lift_points' => ['length' => '88 in', 'width' => '54 in'], 'cg' => ['x' => '41 in', 'y' => '25 in'], 'sling_rating' => '3000 lb', 'sling_angle' => '55 deg', 'rigging_weight' => '60 lb'];
        $this->record($this->lead, $this->machine, 'survey.rigging', $rig)->assertCreated();
        $this->record($this->lead, $this->machine, 'survey.crane', $crane)->assertCreated();
        $text = (string) preg_replace('/\s+/', ' ', self::printed((string) $this->page('crane.pdf')->assertOk()->getContent()));
        self::assertStringContainsString('boom 90 ft, radius 50 ft, capacity 6800 lb', $text);
        self::assertStringContainsString('1 / 1', $text);
        self::assertStringContainsString('2: boom 90 ft, radius 50 ft', (string) $this->page('crane.svg')->assertOk()->getContent());
    }

    public function testTheOptionsStandSideBySideWithTheChoiceAndItsReason(): void
    {
        $this->record($this->lead, $this->machine, 'survey.options', self::OPTIONS)->assertCreated();
        $chosen = $this->record($this->lead, $this->machine, 'entry.option_chosen', ['option' => 'two of 10', 'why' => 'half the hall stays cool'])->assertCreated();
        self::assertSame(['Go through the job\'s facts and the supply for: two of 10'], array_column($chosen->json('machine.items'), 'what'));
        $text = (string) preg_replace('/\s+/', ' ', self::printed((string) $this->page('options.pdf')->assertOk()->getContent()));
        foreach (['one of 20', 'two of 10', '92 A', '34,700', 'half the hall stays cool'] as $words) {
            self::assertStringContainsString($words, $text);
        }
    }

    public function testWhoeverHoldsTheLinkReadsItAndNobodyElse(): void
    {
        $this->record($this->lead, $this->machine, 'survey.options', self::OPTIONS)->assertCreated();
        $link = $this->write($this->lead, "machines/{$this->machine->id}/owner-links", ['forWhom' => 'Hall', 'days' => 30])->assertCreated()->json('path');
        $token = basename((string) $link);
        app(CurrentCompany::class)->set(null);
        auth()->guard('web')->logout();
        $this->get("/api/v1/owner/$token/pages/options.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
        $this->get("/api/v1/owner/{$token}x/pages/options.pdf")->assertStatus(410);
        $other = $this->person(Role::Lead);
        $this->actingAs($other)->get("/api/v1/machines/{$this->machine->id}/pages/options.pdf")->assertNotFound();
    }

    /** @return list<string> */
    private function pages(): array
    {
        return $this->actingAs($this->lead)->getJson("/api/v1/machines/{$this->machine->id}/record")->assertOk()->json('pages');
    }

    private function page(string $which): TestResponse
    {
        return $this->actingAs($this->lead)->get("/api/v1/machines/{$this->machine->id}/pages/$which");
    }
}
