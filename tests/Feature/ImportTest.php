<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use App\Tables\CsvFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** Tables in: looked at first, then all of it or nothing. And out, as they came. */
final class ImportTest extends FeatureTestCase
{
    private User $office;

    private int $sent = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->office = $this->person(Role::Office);
        $this->machine($this->office);
    }

    public function testFiveThousandMachinesComeInWithOnePress(): void
    {
        $csv = "site,job,type,machine,place,serial,summary,model\r\n";
        for ($i = 0; $i < 5_000; $i++) {
            $csv .= 'Mill Lane School,Replacement ' . intdiv($i, 100) . ",rooftop,RTU-$i,roof,SN-$i,\"12.5 ton, gas\",BF-150G\r\n";
        }
        $seen = $this->send('machines/preview', $csv)->assertOk()->assertJsonPath('rows', 5_000)->assertJsonPath('wrong', 0);
        self::assertSame(1, $this->rowsOf('machines'), 'a look changes nothing');
        $this->send('machines?digest=' . $seen->json('digest'), $csv)->assertCreated()->assertJsonPath('made', 5_000);
        self::assertSame([5_001, 51], [$this->rowsOf('machines'), $this->rowsOf('site_jobs')]);
        self::assertSame(5_000, DB::table('machines')->where('company_id', $this->office->company_id)->where('summary', '12.5 ton, gas')->distinct()->count('record_id'));
    }

    public function testEveryWrongRowIsNamedByItsLineAndNothingIsHalfDone(): void
    {
        $csv = implode("\n", [
            'site;job;type;machine;serial;model',
            'Mill Lane School;New;rooftop;RTU-1;A-1;BF-150G',
            'Nowhere;New;rooftop;RTU-2;A-2;',
            'Mill Lane School;New;rooftop;RTU-3;A-1;',
            'Mill Lane School;New;rooftop;RTU-1;A-4;',
            'Mill Lane School;Other;;RTU-5;A-5;',
            'Mill Lane School;New;rooftop;=1+1;A-6;',
            'Mill Lane School;New;rooftop;RTU-7;A-7;ZZ-1',
            'Mill Lane School;New;rooftop;;A-8;',
            'Mill Lane School;Start-up;;RTU-9;A-9;',
        ]);
        $seen = $this->send('machines/preview', $csv)->assertOk()->assertJsonPath('rows', 9)->assertJsonPath('wrong', 8);
        $said = array_column($seen->json('shown'), 'problems', 'line');
        foreach ([3 => 'no site "Nowhere"', 4 => 'Line 2 has the same serial', 5 => 'Line 2 has the same machine', 6 => 'no job "Other"', 7 => 'looks like a formula', 8 => 'no sheet "ZZ-1"', 9 => 'machine is empty', 10 => 'has a machine "RTU-9" already'] as $line => $words) {
            self::assertStringContainsString($words, implode(' ', $said[$line]));
        }
        $refused = $this->send('machines?digest=' . $seen->json('digest'), $csv)->assertStatus(422)->assertJsonPath('title', 'Nothing was imported');
        self::assertCount(8, $refused->json('reasons'));
        self::assertSame([1, 1], [$this->rowsOf('machines'), $this->rowsOf('site_jobs')]);
    }

    public function testSitesKnowTheirHeightAndWhatIsWrongWithIt(): void
    {
        $csv = "name,address,altitude,hospital\nPump House,2 Weir Road,1150 ft,Weir General\nTop Station,,2100 m,\n";
        $seen = $this->send('sites/preview', $csv)->assertJsonPath('wrong', 0);
        $this->send('sites?digest=' . $seen->json('digest'), $csv)->assertCreated();
        self::assertEqualsWithDelta(350.5, DB::table('sites')->where('name', 'Pump House')->value('altitude_m'), 0.1);
        $wrong = $this->send('sites/preview', "name,altitude\nPump House,1 m\nA,12 psi\nB,9000 m\nC,5\nc,1 m\n");
        self::assertSame([2, 3, 4, 5, 6], array_column($wrong->json('shown'), 'line'));
    }

    public function testWhatIsNoTableIsRefusedClearly(): void
    {
        $this->send('sites/preview', "name\n\xff\xfe")->assertStatus(422)->assertJsonPath('field', 'file');
        $this->send('sites/preview', mb_convert_encoding("name\nA", 'UTF-16LE', 'UTF-8'))->assertStatus(422);
        $this->send('sites/preview', "nom,adresse\nA,B")->assertStatus(422)->assertJsonPath('field', 'file');
        $this->send('sites/preview', '')->assertStatus(422);
        $this->send('sites/preview', str_repeat('x', CsvFile::BYTES + 1))->assertStatus(413);
        $this->send('sites?digest=0', "name\nA")->assertStatus(422)->assertJsonPath('field', 'digest');
        $this->send('sites/preview', "\xef\xbb\xbfname\nÉcole")->assertOk()->assertJsonPath('shown.0.title', 'École');
    }

    public function testWhatLeavesComesBackAsItWasAndIsNeverAFormula(): void
    {
        app(CurrentCompany::class)->as($this->office->company_id, fn () => \App\Models\Site::query()->create(['name' => '=HYPERLINK("x")', 'address' => '-3 Dock', 'altitude_m' => 304.8, 'safety' => []]));
        app(CurrentCompany::class)->set(null);
        $csv = $this->actingAs($this->office)->get('/api/v1/export/sites.csv')->assertOk()->streamedContent();
        self::assertStringContainsString('"\'=HYPERLINK(""x"")","\'-3 Dock","1000 ft"', $csv);
        self::assertStringNotContainsString("\n=", $csv);
        $machines = $this->actingAs($this->office)->get('/api/v1/export/machines.csv')->assertOk()->streamedContent();
        self::assertStringContainsString('"Mill Lane School",Start-up,rooftop,RTU-9,roof,S-1,"12.5 ton",BF-150G', $machines);
        $back = $this->send('machines/preview', $machines)->assertOk();
        self::assertSame(['This job has a machine "RTU-9" already.'], $back->json('shown.0.problems'));
    }

    private function rowsOf(string $table): int
    {
        return DB::table($table)->where('company_id', $this->office->company_id)->count();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function send(string $path, string $csv): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($this->office)->call('POST', "/api/v1/import/$path", [], [], [], $this->transformHeadersToServerVars(['Idempotency-Key' => 'import-key-' . ++$this->sent, 'X-Device' => 'test', 'X-Person' => (string) $this->office->id, 'Content-Type' => 'text/csv', 'Accept' => 'application/json']), $csv);
    }
}
