<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Wording;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\InputError;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Tests\Corpus;
use IronStart\Core\Tests\Limits;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;
use IronStart\Core\Wording\UnknownPhrase;
use PHPUnit\Framework\TestCase;

/** Every code has its words, every word its code, and no figure is lost between them. */
final class PhrasesTest extends TestCase
{
    private const RAW = '/[{}]|\bmissing:|_[a-z]+_/';

    public function testEachCodeHasAPhraseAndEachPhraseACode(): void
    {
        $phrases = Phrases::shipped();
        $used = [];
        foreach ($this->judgements() as [$check, $judgement]) {
            foreach ([...$judgement->findings, ...$judgement->basis] as $finding) {
                $used[$check][$finding->phrase] = true;
                $this->assertParametersFit($phrases, $check, $finding);
            }
            foreach ($judgement->cautions as $caution) {
                self::assertContains($caution, Caution::ALL);
            }
        }
        foreach ((new Registry())->ids() as $id) {
            self::assertSame([], array_values(array_diff($phrases->all($id), array_keys($used[$id] ?? []))), "phrases of $id that no case reaches");
        }
    }

    public function testSentencesAreWholeAndHoldNoKeys(): void
    {
        $speaker = new Speaker(Phrases::shipped());
        foreach ($this->judgements() as [$check, $judgement]) {
            if ($check === 'job.gates') {
                continue;
            }
            foreach (['us', 'si'] as $units) {
                $verdict = $speaker->verdict((new Registry())->get($check), $judgement, $units);
                self::assertNotSame('', $verdict->headline, $check);
                self::assertNotSame([], $verdict->basis, $check);
                foreach ([$verdict->headline, ...$verdict->because, ...$verdict->next, ...$verdict->basis] as $sentence) {
                    self::assertMatchesRegularExpression('/^\S.*[.?!]"?$/s', $sentence, $check);
                    self::assertDoesNotMatchRegularExpression(self::RAW, $sentence, $check);
                }
            }
        }
    }

    public function testAStopAndAnOpenVerdictSayWhatToDoOrWhatIsMissing(): void
    {
        $speaker = new Speaker(Phrases::shipped());
        foreach ($this->judgements() as [$check, $judgement]) {
            if ($check !== 'job.gates' && $judgement->status->value === 'stop') {
                self::assertNotSame([], $speaker->verdict((new Registry())->get($check), $judgement, 'us')->next, $check . json_encode($judgement->codes()));
            }
        }
    }

    public function testEveryFieldCautionGateAndCheckHasItsWords(): void
    {
        $phrases = Phrases::shipped();
        foreach ((new Registry())->ids() as $id) {
            self::assertStringEndsWith('?', $phrases->question($id));
            self::assertNotSame('', $phrases->short($id));
            $this->assertLabels($phrases, $id, (new Registry())->get($id)->fields(), '');
        }
        foreach (Caution::ALL as $caution) {
            self::assertNotSame('', $phrases->caution($caution));
        }
        foreach (CheckTable::checks() as $check) {
            self::assertNotSame('', $phrases->common('todo', $check));
        }
    }

    public function testWordsThatAreNotWholeAreNotSaid(): void
    {
        $folder = sys_get_temp_dir() . '/' . uniqid('phrases-', true);
        mkdir("$folder/en", recursive: true);
        file_put_contents("$folder/en/x.php", "<?php return ['x.y' => ['fields' => ['none' => [], 'text' => 'T', 'whole' => ['Label']], 'say' => ['headless' => ['why' => 'W'], 'number' => 3, 'whole' => ['head' => 'H', 'next' => 'N']]]];");
        $phrases = new Phrases($folder);
        self::assertSame(['Label', ''], $phrases->field('x.y', 'whole'));
        self::assertSame(['head' => 'H', 'why' => [], 'next' => ['N']], $phrases->say('x.y', 'whole'));
        $refused = function (\Closure $say): bool {
            try {
                $say();

                return false;
            } catch (UnknownPhrase) {
                return true;
            }
        };
        foreach (['none', 'text', 'absent'] as $field) {
            self::assertTrue($refused(fn () => $phrases->field('x.y', $field)), $field);
        }
        foreach (['headless', 'number', 'absent'] as $phrase) {
            self::assertTrue($refused(fn () => $phrases->say('x.y', $phrase)), $phrase);
        }
        unlink("$folder/en/x.php");
        rmdir("$folder/en");
        rmdir($folder);
    }

    /** @param list<Field> $fields */
    private function assertLabels(Phrases $phrases, string $id, array $fields, string $prefix): void
    {
        foreach ($fields as $field) {
            self::assertNotSame('', $phrases->field($id, $prefix . $field->name)[0]);
            $this->assertLabels($phrases, $id, $field->fields, "$prefix$field->name.");
        }
    }

    /** A pattern asks for nothing the finding lacks, and no figure of it goes unsaid. */
    private function assertParametersFit(Phrases $phrases, string $check, Finding $finding): void
    {
        if (str_starts_with($finding->phrase, 'missing')) {
            return;
        }
        $say = $phrases->say($check, $finding->phrase);
        // What stands behind a selector is a text, not a parameter.
        $patterns = (string) preg_replace('/(?:\bone|\bother|\bnone|\byes|\blead|=\d+|\b\d+)\s*\{/', '(', implode(' ', [$say['head'], ...$say['why'], ...$say['next']]));
        preg_match_all('/\{([a-z]\w*)\s*[,}]/', $patterns, $found);
        $asked = array_values(array_unique($found[1]));
        $given = array_map(strval(...), array_keys($finding->params));
        self::assertSame([], array_values(array_diff($asked, $given)), "$check, $finding->phrase: asked for and not given");
        self::assertSame([], array_values(array_diff($given, $asked)), "$check, $finding->phrase: given and never said");
    }

    /** @return iterable<array{string, Judgement}> */
    private function judgements(): iterable
    {
        $bench = new Judge(new Registry(), new Speaker(Phrases::shipped()));
        $cases = array_map(fn (array $c): array => ['check' => $c[0], 'input' => json_decode((string) json_encode($c[1]))], iterator_to_array(Limits::cases()));
        foreach ([...array_column(iterator_to_array(Corpus::vectors()), 0), ...array_column(iterator_to_array(Corpus::more()), 0), ...array_values($cases)] as $case) {
            try {
                $input = $bench->input($case['check'], $case['input']);
            } catch (InputError) {
                continue;
            }
            yield [$case['check'], $bench->registry->get($case['check'])->judge($input)];
        }
    }
}
