<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Role;
use Illuminate\Testing\TestResponse;

/** The refrigerants of the shelf. */
final class RefrigerantTest extends FeatureTestCase
{
    public function testEachIsThereWithWhatItCanDoToSomebody(): void
    {
        $all = array_column($this->get_('')->assertOk()->json('refrigerants'), null, 'name');
        self::assertSame(['R-134a', 'R-22', 'R-32', 'R-404A', 'R-407C', 'R-410A', 'R-448A', 'R-449A', 'R-454B', 'R-513A'], array_keys($all));
        self::assertEquals(['A2L', 466], [$all['R-454B']['class'], $all['R-454B']['gwp']]);
        self::assertEqualsWithDelta(18.5, $all['R-454B']['lflUs'], 0.1);
        self::assertNull($all['R-410A']['lfl']);
        self::assertEquals(0, $all['R-22']['glide']);
        self::assertGreaterThan(4.0, $all['R-407C']['glide']);
    }

    public function testItsPressuresStandInTheUnitsAndAtTheAltitudeAskedFor(): void
    {
        $rows = fn (string $query): array => $this->get_("/r410a/pressures$query")->assertOk()->json('rows');
        $sea = array_column($rows(''), null, 0);
        self::assertEquals([40, 118.8, 118.4], array_map(fn (mixed $v): float => (float) $v, $sea[40]), 'R-410A at 40 °F');
        $high = array_column($rows('?altitude=5280+ft'), null, 0);
        self::assertEqualsWithDelta(2.6, $high[40][2] - $sea[40][2], 0.11, 'a gauge reads more where the air is thin');
        $bar = array_column($rows('?temperature=degC&pressure=barg'), null, 0);
        self::assertEqualsWithDelta(8.04, $bar[4][2], 0.01);
        self::assertSame([-40, 150], [array_key_first($sea), array_key_last($sea)], 'no row past the end of its table');
    }

    public function testAsAFileItHasEveryDegree(): void
    {
        $file = $this->get_('/R-32/pressures.csv?pressure=kPag')->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="R-32.csv"');
        $lines = explode("\r\n", trim((string) $file->getContent()));
        self::assertSame('temperature_degF,bubble_kPag,dew_kPag', $lines[0]);
        self::assertSame(['-40', '-39'], [explode(',', $lines[1])[0], explode(',', $lines[2])[0]]);
    }

    public function testWhatThereIsNotIsSaid(): void
    {
        $this->get_('/R-999/pressures')->assertNotFound();
        $this->get_('/R-22/pressures?temperature=degR')->assertStatus(422)->assertJsonPath('field', 'temperature');
        $this->get_('/R-22/pressures?pressure=micron')->assertStatus(422)->assertJsonPath('field', 'pressure');
        $this->get_('/R-22/pressures?altitude=40000+ft')->assertStatus(422)->assertJsonPath('field', 'altitude');
    }

    private function get_(string $path): TestResponse
    {
        return $this->actingAs($this->person(Role::Helper))->getJson("/api/v1/refrigerants$path");
    }
}
