<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Wording;

use IronStart\Core\Check\InputError;
use IronStart\Core\Core;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Tests\Corpus;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Value;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What is said about every worked case, in both unit systems, as it was last read through: words change on purpose only.
 *
 * After a change that is meant: `GOLDEN=write vendor/bin/phpunit --filter Golden`, then read the difference.
 */
final class GoldenTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function checks(): iterable
    {
        foreach ((new Registry())->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('checks')]
    public function testTheSentencesAreTheOnesThatWereRead(string $check): void
    {
        $said = [];
        foreach ([...array_column(iterator_to_array(Corpus::vectors()), 0), ...array_column(iterator_to_array(Corpus::more()), 0)] as $case) {
            if ($case['check'] === $check) {
                $said += $this->say($check, (string) $case['id'], $case['input']);
            }
        }
        $file = dirname(__DIR__) . "/Fixtures/golden/$check.txt";
        $text = implode("\n\n", array_map(fn (string $id, array $lines): string => "$id\n" . implode("\n", $lines), array_keys($said), $said)) . "\n";
        if (getenv('GOLDEN') === 'write') {
            file_put_contents($file, $text);
        }
        self::assertSame((string) file_get_contents($file), $text);
    }

    /** @return array<string, list<string>> by case and unit system, the latter only where it is said otherwise */
    private function say(string $check, string $id, mixed $input): array
    {
        $said = [];
        foreach (['us', 'si'] as $units) {
            try {
                $verdict = Core::judge()->judge($check, $input, $units);
                $lines = [strtoupper($verdict->judgement->status->value) . " $verdict->headline"];
                foreach (['because' => $verdict->because, 'next' => $verdict->next, 'basis' => $verdict->basis] as $what => $sentences) {
                    $lines = [...$lines, ...array_map(fn (string $s): string => "  $what: $s", $sentences)];
                }
                array_push($lines, ...self::decided($verdict->judgement));
            } catch (InputError $error) {
                $lines = ["ERROR {$error->getMessage()}"];
            }
            if ($units === 'us' || $lines !== $said["$id us"]) {
                $said["$id $units"] = $lines;
            }
        }

        return $said;
    }

    /** @return list<string> what the words stand on: each finding with its own weight, the figures, the cautions, what is drawn and set off */
    private static function decided(Judgement $judgement): array
    {
        $values = array_map(fn (Value $v): mixed => $v->value, $judgement->values);
        $drawing = $judgement->drawing;
        foreach ([&$values, &$drawing] as &$figures) {
            array_walk_recursive($figures, function (mixed &$v): void {
                $v = is_float($v) ? round($v, 9) : $v;
            });
        }

        return [
            '  found: ' . implode(', ', array_map(fn (Finding $f): string => ($f->note ? 'note' : $f->status->value) . " $f->code", $judgement->findings)),
            '  values: ' . json_encode($values, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PARTIAL_OUTPUT_ON_ERROR),
            '  cautions: ' . implode(', ', $judgement->cautions) . ($judgement->marginal ? '; marginal' : ''),
            '  drawing: ' . json_encode($drawing, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE),
            '  sets: ' . json_encode(array_map(fn (Effect $one): array => array_filter((array) $one, fn (mixed $v): bool => $v !== null && $v !== ''), $judgement->sets)),
        ];
    }
}
