<?php

declare(strict_types=1);

namespace IronStart\Core\Diagnose;

/**
 * Causes, the facts each begins with and explains, and what is to be inspected, asked of sisters and held.
 *
 * Source: `data/root_causes.php`, general trade practice of three-phase rooftop and condensing units.
 *
 * @phpstan-type Cause array{root: list<string>, with: list<string>, explains: list<string>, inspect: list<string>, sisters: list<string>, hold: list<string>, electric: bool}
 */
final class Causes
{
    /** @var array{what: list<string>, causes: array<string, Cause>, must: array<string, list<string>>, look: array<string, list<string>>, feeder: array<string, string>}|null */
    private static ?array $data = null;

    /** @return array<string, Cause> by name, in the order in which they are chosen where two explain as much */
    public static function all(): array
    {
        return self::data()['causes'];
    }

    /** @return list<string> the closed list of what may be inspected, checked or held */
    public static function what(): array
    {
        return self::data()['what'];
    }

    /** @return list<string> the closed list of facts */
    public static function facts(): array
    {
        $facts = [];
        foreach (self::all() as $cause) {
            $facts = [...$facts, ...$cause['root'], ...$cause['with'], ...$cause['explains']];
        }

        return array_values(array_unique($facts));
    }

    /** @return list<string> what a fact holds, whatever explains it */
    public static function must(string $fact): array
    {
        return self::data()['must'][$fact] ?? [];
    }

    /** @return list<string> what to inspect for a fact nobody can explain */
    public static function look(string $fact): array
    {
        return self::data()['look'][$fact] ?? [];
    }

    /** @return array<string, string> facts that are one fault upstream on two units of one supply; what shows on a third that it is not */
    public static function feeder(): array
    {
        return self::data()['feeder'];
    }

    /** @return array{what: list<string>, causes: array<string, Cause>, must: array<string, list<string>>, look: array<string, list<string>>, feeder: array<string, string>} */
    private static function data(): array
    {
        return self::$data ??= require dirname(__DIR__, 2) . '/data/root_causes.php';
    }
}
