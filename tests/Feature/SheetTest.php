<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\KeepSheet;
use App\Http\Problems\Problem;
use App\Support\CurrentCompany;
use App\Support\Role;

final class SheetTest extends FeatureTestCase
{
    private const SHEET = ['model' => 'X-1', 'kind' => 'rooftop', 'electrical' => ['motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'amps' => '9 A']]]];

    public function testEverySheetOfTheDemoMeetsTheSchemaAndASecondOneIsANewVersion(): void
    {
        $this->asCompany(function (): void {
            $versions = [];
            foreach (glob(database_path('demo/sheets/*.json')) ?: [] as $file) {
                $versions[] = app(KeepSheet::class)->keep((string) file_get_contents($file))->version;
            }
            self::assertSame([1, 1, 1, 1], $versions);
            self::assertSame(1, app(KeepSheet::class)->keep((string) json_encode(self::SHEET))->version);
            self::assertSame(2, app(KeepSheet::class)->keep((string) json_encode(self::SHEET))->version);
        });
    }

    public function testAnUnknownMemberAndAMotorWithoutAmpsAreRefused(): void
    {
        $this->asCompany(function (): void {
            $this->assertRefused(['colour' => 'grey'] + self::SHEET);
            $this->assertRefused(['electrical' => ['motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line']]]] + self::SHEET);
            $this->assertRefused(['electrical' => ['mca' => '32']] + self::SHEET);
        });
    }

    /** @param array<string, mixed> $sheet */
    private function assertRefused(array $sheet): void
    {
        try {
            app(KeepSheet::class)->keep((string) json_encode($sheet));
            self::fail('it was kept');
        } catch (Problem $problem) {
            self::assertSame(422, $problem->status);
            self::assertStringStartsWith('sheet', (string) $problem->members['field']);
        }
    }

    private function asCompany(\Closure $do): void
    {
        app(CurrentCompany::class)->as($this->person(Role::Office)->company_id, $do);
    }
}
