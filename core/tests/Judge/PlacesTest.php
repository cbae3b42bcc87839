<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Judge;

use IronStart\Core\Check\Check;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Wording\Phrases;
use PHPUnit\Framework\TestCase;

/** The places a check has: none may be forgotten when one is added. */
final class PlacesTest extends TestCase
{
    public function testEveryCheckClassIsInTheRegistry(): void
    {
        $registry = new Registry();
        $registered = array_map(fn (string $id): string => $registry->get($id)::class, $registry->ids());
        foreach (glob(dirname(__DIR__, 2) . '/src/*/*.php') ?: [] as $file) {
            $class = 'IronStart\\Core\\' . basename(dirname($file)) . '\\' . basename($file, '.php');
            if (is_a($class, Check::class, true) && (new \ReflectionClass($class))->isInstantiable()) {
                self::assertContains($class, $registered, "$class is not in the registry");
            }
        }
    }

    public function testEveryCheckHasItsPhrasesCasesAndGates(): void
    {
        $registry = new Registry();
        foreach ($registry->ids() as $id) {
            self::assertSame($id, $registry->get($id)->id());
            self::assertGreaterThanOrEqual(1, $registry->get($id)->version());
            self::assertNotSame([], Phrases::shipped()->all($id), "no phrases for $id");
            // What is written beside the checks belongs to no gate; its cases stand with the others of our own.
            if (str_starts_with($id, 'entry.')) {
                continue;
            }
            self::assertFileExists(dirname(__DIR__) . "/Fixtures/vectors/$id.ndjson", "no worked cases for $id");
            self::assertTrue($id === 'job.gates' || in_array($id, CheckTable::checks(), true), "$id belongs to no gate");
        }
    }
}
