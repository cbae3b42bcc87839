<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Bodies\Bodies;
use App\Http\Bodies\Writes;
use App\Support\Role;
use Illuminate\Support\Facades\Route;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Need;

/** What a write asks for is told once: it is read by it and described from it. */
final class BodiesTest extends FeatureTestCase
{
    public function testEveryWriteIsDescribedFromTheFieldsItIsReadBy(): void
    {
        $paths = json_decode((string) file_get_contents(public_path('openapi.json')), true)['paths'];
        $seen = 0;
        foreach (Route::getRoutes() as $route) {
            $action = $route->getActionName();
            if (! str_contains($action, '@')) {
                continue;
            }
            [$class, $method] = explode('@', $action);
            $writes = (new \ReflectionMethod($class, $method))->getAttributes(Writes::class)[0] ?? null;
            if ($writes === null) {
                continue;
            }
            $seen++;
            $fields = Bodies::of($writes->getArguments()[1]);
            $schema = $paths["/{$route->uri()}"]['post']['requestBody']['content']['application/json']['schema'];
            self::assertSame(array_map(fn (Field $f): string => $f->name, $fields), array_keys($schema['properties']), $action);
            self::assertSame(array_values(array_map(fn (Field $f): string => $f->name, array_filter($fields, fn (Field $f): bool => $f->need === Need::Structural))), $schema['required'] ?? [], $action);
        }
        self::assertGreaterThan(35, $seen);
    }

    public function testWhatIsWrongIsToldAsOfAReading(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        foreach ([
            ['notes', ['text' => ' '], 'text', 'is required'],
            ['notes', ['text' => 'x', 'gate' => 13], 'gate', 'a whole number, from 1 to 12'],
            ['notes', ['text' => 'x', 'gate' => 1.5], 'gate', 'is not a whole number'],
            ['notes', ['text' => str_repeat('x', 2001)], 'text', 'is too long'],
            ['notes', ['text' => ['x']], 'text', 'is not a text'],
            ['facts', ['fact' => 'belt', 'on' => 'yes'], 'on', 'true or false'],
            ['suspects', ['reason' => 'x'], 'at', 'is required'],
            ['put-back', ['kind' => 'panel_off', 'where' => 'x', 'colour' => 'red'], 'colour', 'is not used here'],
        ] as [$path, $body, $field, $words]) {
            $told = $this->write($starter, "machines/$machine->id/$path", $body)->assertStatus(422)->assertJsonPath('field', $field);
            self::assertStringContainsString($words, $told->json('detail'));
        }
    }
}
