<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Support\CurrentCompany;
use App\Support\Role;
use IronStart\Core\Check\Field;
use IronStart\Core\Core;
use PHPUnit\Framework\Attributes\DataProvider;

/** What is said while typing is what is recorded, for every worked case of the core. */
final class LiveAndRecordedTest extends FeatureTestCase
{
    /** @return iterable<string, array{string, list<array{id: mixed, units: string, input: \stdClass}>}> */
    public static function checks(): iterable
    {
        foreach (glob(dirname(__DIR__, 2) . '/core/tests/Fixtures/vectors/*.ndjson') ?: [] as $file) {
            $cases = [];
            foreach (file($file) ?: [] as $line) {
                $case = json_decode($line);
                if ($case->check !== 'job.gates') {
                    $cases[$case->check][] = ['id' => $case->id, 'units' => $case->units ?? 'us', 'input' => $case->input];
                }
            }
            foreach ($cases as $check => $list) {
                yield $check => [$check, $list];
            }
        }
    }

    /** @param list<array{id: mixed, units: string, input: \stdClass}> $cases */
    #[DataProvider('checks')]
    public function testTheLiveVerdictIsTheRecordedOne(string $check, array $cases): void
    {
        $lead = $this->person(Role::Lead);
        $like = $this->machine($lead);
        $fields = Core::judge()->registry->get($check)->fields();
        foreach ($cases as $i => $case) {
            $input = self::typed($fields, json_decode((string) json_encode($case['input']), true) ?? []);
            // A machine without a sheet and without a past: nothing but what was typed.
            $machine = app(CurrentCompany::class)->as($lead->company_id, fn (): Machine => Machine::query()->create(['site_job_id' => $like->site_job_id, 'name' => "Case $i", 'position' => $i]));
            $live = $this->write($lead, "judge/$check", ['units' => 'us', 'input' => (object) $input]);
            $kept = $this->write($lead, "machines/$machine->id/checks/$check", ['input' => (object) $input, 'reason' => 'a worked case']);
            if ($live->getStatusCode() !== 200) {
                self::assertSame([422, $live->json('detail')], [$kept->getStatusCode(), $kept->json('detail')], "$check {$case['id']}");
                continue;
            }
            $entry = collect($kept->assertCreated()->json('machine.tape'))->firstWhere('at', $kept->json('at'));
            foreach (['status', 'marginal', 'headline', 'because', 'next', 'basis'] as $member) {
                self::assertSame($live->json($member), $entry[$member], "$check {$case['id']} $member");
            }
            self::assertEquals($live->json('drawing') ?? [], $entry['drawing'], "$check {$case['id']} drawing");
        }
    }

    /**
     * What the record or the job brings is typed by nobody.
     *
     * @param list<Field> $fields
     * @param array<string, mixed> $input
     * @return array<string, mixed>
     */
    private static function typed(array $fields, array $input): array
    {
        foreach ($fields as $field) {
            if ($field->brought || $field->ofJob) {
                unset($input[$field->name]);
            } elseif ($field->fields !== [] && is_array($input[$field->name] ?? null)) {
                $input[$field->name] = array_map(fn (mixed $item): mixed => is_array($item) ? self::typed($field->fields, $item) : $item, $input[$field->name]);
            }
        }

        return $input;
    }
}
