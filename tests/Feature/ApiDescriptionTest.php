<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Role;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;

final class ApiDescriptionTest extends FeatureTestCase
{
    public function testTheDescriptionIsNotStale(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'api');
        self::assertSame(0, Artisan::call('api:describe', ['file' => $file, 'checks' => "$file.checks", 'asked' => "$file.asked"]));
        self::assertJsonStringEqualsJsonFile(public_path('openapi.json'), (string) file_get_contents($file), 'run: php artisan api:describe && npm run api');
        self::assertJsonStringEqualsJsonFile(base_path('tests/fixtures/checks.json'), (string) file_get_contents("$file.checks"), 'run: php artisan api:describe');
        self::assertJsonStringEqualsJsonFile(base_path('tests/fixtures/asked.json'), (string) file_get_contents("$file.asked"), 'run: php artisan api:describe');
        unlink("$file.asked");
        unlink($file);
        unlink("$file.checks");
    }

    public function testEveryRouteIsDescribed(): void
    {
        self::assertSame([], array_filter(iterator_to_array(Route::getRoutes()), fn (\Illuminate\Routing\Route $route): bool => str_ends_with($route->uri(), '/nothing')), 'floors stand where benchmarks run');
        $paths = json_decode((string) file_get_contents(public_path('openapi.json')), true)['paths'];
        foreach (Route::getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/')) {
                self::assertArrayHasKey(strtolower($route->methods()[0]), $paths["/{$route->uri()}"] ?? [], $route->uri());
            }
        }
    }

    public function testTheCatalogueDescribesEveryCheckWithItsFieldsAndUnits(): void
    {
        $checks = collect($this->actingAs($this->person(Role::Helper))->getJson('/api/v1/checks')->assertOk()->json('checks'))->keyBy('id');
        self::assertSame(['V', 'mV'], $checks['power.voltage']['fields'][0]['units']);
        self::assertContains('ft', collect($checks['power.circuit']['fields'])->firstWhere('name', 'length')['units']);
        self::assertCount(21, $checks['list.prestart']['items']);
    }
}
