<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** An exported record proves itself, and shows what was changed. */
final class ProofTest extends FeatureTestCase
{
    public function testTheExportIsAsItWasWrittenAndSaysWhoseKeyVouches(): void
    {
        [$lead, $file] = $this->exported();
        [$status, $said] = $this->verify($file);
        self::assertSame(0, $status, $said);
        $record = json_decode((string) file_get_contents($file));
        self::assertStringContainsString("The key of {$lead->company->name} vouches for it: fingerprint {$record->company->fingerprint}.", $said);
        self::assertSame(0, $this->verify($file, '--digest', $record->chain[1]->digest)[0]);
        self::assertSame(0, $this->verify($file, '--key', $record->company->fingerprint)[0]);
        self::assertSame(1, $this->verify($file, '--digest', str_repeat('0', 64))[0]);
        self::assertSame(1, $this->verify($file, '--key', '0000 0000 0000 0000')[0]);
        self::assertSame(2, $this->verify("$file.not-there")[0]);
    }

    /** @return iterable<string, array{string, string, int, string}> text, its change, the status, what is said */
    public static function changes(): iterable
    {
        yield 'a reading' => ['"value_read": 480', '"value_read": 481', 1, 'Entry 2 is not as it was written'];
        yield 'a word of a note' => ['panel was warm', 'panel was cold', 1, 'Entry 4 is not as it was written'];
        yield 'the time of the lockout' => ['"tester_proved_after": true', '"tester_proved_after": null', 1, 'Entry 1 is not as it was written'];
        yield 'the company\'s name' => ['Brass & Pine', 'Brass & Fine', 1, 'the seal does not hold'];
        yield 'an answer' => ['"state": "not_on_job"', '"state": "answered"', 1, 'the seal does not hold'];
        yield 'the format' => ['iron-start-record-1', 'iron-start-record-2', 2, 'is no record as the schema has it'];
        yield 'a brace' => ['"chain": [', '"chain": ', 2, 'is not JSON any more'];
    }

    #[DataProvider('changes')]
    public function testOneChangeIsFoundAndNamed(string $text, string $changed, int $status, string $said): void
    {
        [, $file] = $this->exported();
        $whole = (string) file_get_contents($file);
        self::assertStringContainsString($text, $whole);
        file_put_contents($file, substr_replace($whole, $changed, (int) strpos($whole, $text), strlen($text)));
        [$found, $told] = $this->verify($file);
        self::assertSame($status, $found, $told);
        self::assertStringContainsString($said, $told);
    }

    /** @return iterable<string, array{string, string, string}> a table, what is set in it, what is told */
    public static function underneath(): iterable
    {
        yield 'a note' => ['notes', "text = 'nothing to see'", 'Entry 4 is not as it was written.'];
        yield 'a sentence' => ['verdicts', 'said = jsonb_set(said, \'{headline}\', \'"All good."\') WHERE at = 3', 'Entry 3 is not as it was written.'];
        yield 'a status' => ['verdicts', "status = 'clear' WHERE at = 3", 'Entry 3 is not as it was written.'];
        yield 'what was typed' => ['verdicts', 'input = \'{"meter": "abc"}\' WHERE at = 3', 'Entry 3 is not as it was written.'];
        yield 'a reading' => ['readings', "value_read = 460 WHERE path = 'volts_ab' AND at = 2", 'Entry 2 is not as it was written.'];
        yield 'a lock' => ['put_backs', "what = 'Lock 9 on'", 'Entry 1 is not as it was written.'];
        yield 'a time' => ['entries', "device_at = device_at - interval '1 hour' WHERE at = 2", 'Entry 2 is not as it was written.'];
        yield 'who it was' => ['users', "name = 'Somebody'", 'Entry 1 is not as it was written.'];
        yield 'a link of the chain' => ['chain_links', "document = replace(document, 'warm', 'cold') WHERE at = 4", 'Entry 4 is not as it was written.'];
        yield 'the last digest' => ['machines', "digest = repeat('0', 64)", 'Entries are missing at the end.'];
    }

    #[DataProvider('underneath')]
    public function testWhatIsChangedUnderneathIsToldOnThePageOnPaperAndInTheFile(string $table, string $change, string $told): void
    {
        [$lead, , $machine] = $this->exported();
        self::assertSame([], $this->actingAs($lead)->getJson("/api/v1/machines/$machine->id/record")->json('differs'));
        $this->asOwner();
        DB::statement("ALTER TABLE $table DISABLE TRIGGER USER");
        $of = match ($table) {
            'users' => "id = $lead->id", 'machines' => "id = $machine->id", default => "machine_id = $machine->id"
        };
        DB::update("UPDATE $table SET $change " . (str_contains($change, 'WHERE') ? 'AND' : 'WHERE') . " $of");
        $ask = function (string $what) use ($lead, $machine): \Illuminate\Testing\TestResponse {
            app(CurrentCompany::class)->set(null);

            return $this->actingAs($lead)->get("/api/v1/machines/$machine->id/$what")->assertOk();
        };
        self::assertSame($told, $ask('record')->json('differs.0'));
        $file = sys_get_temp_dir() . '/' . uniqid('record') . '.json';
        file_put_contents($file, $ask('record.json')->getContent());
        [$status, $said] = $this->verify($file);
        self::assertSame(1, $status, $said);
        self::assertStringContainsString("NOT AS WRITTEN: $told", $said);
        file_put_contents($file, $ask('record.pdf')->getContent());
        self::assertStringContainsString('Not as it was written.', (string) shell_exec('pdftotext ' . escapeshellarg($file) . ' -'));
        unlink($file);
    }

    public function testAnEntryTakenOutOrPutInUnderneathIsTold(): void
    {
        [$lead, , $machine] = $this->exported();
        $this->asOwner();
        $differs = function () use ($lead, $machine): array {
            app(CurrentCompany::class)->set(null);

            return $this->actingAs($lead)->getJson("/api/v1/machines/$machine->id/record")->assertOk()->json('differs');
        };
        DB::statement('ALTER TABLE readings DISABLE TRIGGER USER');
        DB::table('readings')->where('machine_id', $machine->id)->where('at', 2)->where('path', 'volts_bc')->delete();
        self::assertSame(['Entry 2 is not as it was written.'], $differs());
        DB::statement('ALTER TABLE chain_links DISABLE TRIGGER USER');
        DB::table('chain_links')->where('machine_id', $machine->id)->where('at', 4)->delete();
        self::assertSame(['Entry 2 is not as it was written.', 'Entry 4 was never chained.', 'Entries are missing at the end.'], $differs());
        DB::table('chain_links')->where('machine_id', $machine->id)->where('at', 1)->delete();
        self::assertSame(['Entry 2 is not as it was written.', 'Entry 1 was never chained.', 'Entry 4 was never chained.', 'Entries are missing at the end.'], $differs());
    }

    public function testAnotherRoleOfAPersonLaterIsNoChangeOfTheRecord(): void
    {
        [$lead, , $machine] = $this->exported();
        $lead->role = Role::Starter;
        $lead->save();
        app(CurrentCompany::class)->as($lead->company_id, fn () => $machine->job->people()->syncWithoutDetaching([$lead->id]));
        app(CurrentCompany::class)->set(null);
        self::assertSame([], $this->actingAs($lead)->getJson("/api/v1/machines/$machine->id/record")->assertOk()->json('differs'));
    }

    /** @return iterable<string, array{string, string}> a text of the file, and what it is made into */
    public static function doubled(): iterable
    {
        yield 'a member twice' => ['"status": ', '"status": "clear", "status": '];
        yield 'written another way' => ['"status": ', '"st\u0061tus": "clear", "status": '];
        yield 'deep inside' => ['"value_read": 480', '"value_read": 481, "value_read": 480'];
    }

    #[DataProvider('doubled')]
    public function testAMemberThatStandsTwiceIsRefused(string $text, string $made): void
    {
        [, $file] = $this->exported();
        $whole = (string) file_get_contents($file);
        file_put_contents($file, substr_replace($whole, $made, (int) strpos($whole, $text), strlen($text)));
        [$status, $said] = $this->verify($file);
        self::assertSame(2, $status, $said);
        self::assertStringContainsString('twice in one object', $said);
    }

    /** @return iterable<string, array{\Closure(\stdClass): void}> something a reader would not know what to make of */
    public static function unknown(): iterable
    {
        yield 'a kind of entry' => [fn (\stdClass $r) => $r->chain[3]->entry->kind = 'blessing'];
        yield 'a member of an entry' => [fn (\stdClass $r) => $r->chain[3]->entry->also = 'this'];
        yield 'a member of a check' => [fn (\stdClass $r) => $r->chain[1]->entry->check->also = 'this'];
        yield 'a member of a reading' => [fn (\stdClass $r) => $r->chain[1]->entry->readings[0]->also = 'this'];
        yield 'a member of a note' => [fn (\stdClass $r) => $r->chain[3]->entry->note->also = 'this'];
        yield 'a member of an entry put back' => [fn (\stdClass $r) => $r->chain[0]->entry->put_back->also = 'this'];
        yield 'a member of who' => [fn (\stdClass $r) => $r->chain[0]->entry->who->also = 'this'];
        yield 'a member of the whole' => [fn (\stdClass $r) => $r->also = 'this'];
    }

    /** @param \Closure(\stdClass): void $change */
    #[DataProvider('unknown')]
    public function testWhatIsNotKnownIsNotPassedOver(\Closure $change): void
    {
        [, $file] = $this->exported();
        $record = json_decode((string) file_get_contents($file));
        $change($record);
        file_put_contents($file, json_encode($record, JSON_PRESERVE_ZERO_FRACTION));
        [$status, $said] = $this->verify($file);
        self::assertSame(2, $status, $said);
        self::assertStringContainsString('is no record as the schema has it', $said);
    }

    public function testAnEntryLeftOutIsFound(): void
    {
        [, $file] = $this->exported();
        $record = json_decode((string) file_get_contents($file));
        array_splice($record->chain, 1, 1);
        file_put_contents($file, json_encode($record, JSON_PRESERVE_ZERO_FRACTION));
        self::assertStringContainsString('Entry 3 is not as it was written, or an entry before it is missing', $this->verify($file)[1]);
        array_pop($record->chain);
        array_pop($record->chain);
        file_put_contents($file, json_encode($record, JSON_PRESERVE_ZERO_FRACTION));
        self::assertStringContainsString('entries are missing at the end', $this->verify($file)[1]);
    }

    public function testEveryEntryIsChainedAsItIsRecorded(): void
    {
        [, , $machine] = $this->exported();
        self::assertSame(DB::table('entries')->where('machine_id', $machine->id)->orderBy('at')->pluck('at')->all(), DB::table('chain_links')->where('machine_id', $machine->id)->orderBy('at')->pluck('at')->all());
        $this->asOwner();
        $this->expectExceptionMessage('written once');
        DB::table('chain_links')->where('machine_id', $machine->id)->update(['digest' => str_repeat('0', 64)]);
    }

    public function testATapeWrittenBeforeThereWereChainsIsChainedWhenItLeaves(): void
    {
        [$lead, , $machine] = $this->exported();
        $this->asOwner();
        DB::statement('ALTER TABLE chain_links DISABLE TRIGGER USER');
        DB::table('chain_links')->where('machine_id', $machine->id)->delete();
        DB::table('machines')->where('id', $machine->id)->update(['chained_at' => 0, 'digest' => '']);
        app(CurrentCompany::class)->set(null);
        $record = $this->actingAs($lead)->get("/api/v1/machines/$machine->id/record.json")->assertOk()->json();
        self::assertCount(4, $record['chain']);
        self::assertSame($record['digest'], $record['chain'][3]['digest']);
    }

    public function testChainedOneByOneOrAllAtOnceItIsTheSameChainAndEachKindSaysWhatItWroteBeside(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $put = fn (string $where): int => $this->write($lead, "machines/$machine->id/put-back", ['kind' => 'detector', 'where' => $where])->assertCreated()->json('putBack');
        $this->record($lead, $machine, 'power.circuit', ['mca' => '32.8 A', 'mocp' => '40 A', 'breaker' => '60 A', 'conductor' => '6', 'insulation' => 90, 'terminal_rating' => 75])->assertCreated();
        $this->write($lead, "machines/$machine->id/overrides", ['gate' => 7, 'reason' => 'Breaker is changed this afternoon'])->assertCreated();
        $this->record($lead, $machine, 'power.lockout', self::lockout())->assertCreated();
        $this->write($lead, "machines/$machine->id/notes", ['text' => 'the panel was warm'])->assertCreated();
        $this->write($lead, "machines/$machine->id/put-back/{$put('lobby')}/close", ['word' => 'back in service'])->assertCreated();
        $this->write($lead, "machines/$machine->id/put-back/{$put('attic')}/leave", ['reason' => 'part on order', 'owner' => 'the office', 'due' => '2031-05-04'])->assertCreated();
        $this->write($lead, "machines/$machine->id/suspects", ['at' => 3, 'reason' => 'battery low'])->assertCreated();
        $links = fn () => DB::table('chain_links')->where('machine_id', $machine->id)->orderBy('at')->pluck('document', 'at')->all();
        $written = $links();
        $said = [
            1 => '"breaker":"60 A"', 2 => '"override":{"gate":7}', 3 => '"what":"Lock 7 on, tag S. Tarter"', 4 => '"text":"the panel was warm"',
            5 => 'lobby"', 6 => '"word":"back in service"', 7 => 'attic"', 8 => '"owner":"the office"', 9 => '"suspect":{"target":3}',
        ];
        self::assertSame(array_keys($said), array_keys($written));
        foreach ($said as $at => $words) {
            self::assertStringContainsString($words, $written[$at]);
        }
        $this->asOwner();
        DB::statement('ALTER TABLE chain_links DISABLE TRIGGER USER');
        DB::table('chain_links')->where('machine_id', $machine->id)->delete();
        DB::table('machines')->where('id', $machine->id)->update(['chained_at' => 0, 'digest' => '']);
        $this->write($lead, "machines/$machine->id/notes", ['text' => 'afterwards'])->assertCreated();
        self::assertSame($written, array_slice($links(), 0, count($written), true));
    }

    /** @return array{User, string, Machine} the lead, the file, the machine */
    private function exported(): array
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $this->record($lead, $machine, 'power.lockout', self::lockout())->assertCreated();
        $this->record($lead, $machine, 'power.voltage', ['volts_ab' => '480 V', 'volts_bc' => '481 V', 'volts_ca' => '479 V', 'plate_voltage' => '460'])->assertCreated();
        $this->record($lead, $machine, 'power.rotation', ['meter' => 'cba'])->assertCreated();
        $this->write($lead, "machines/$machine->id/notes", ['text' => 'The panel was warm — “ü” & 1/3'])->assertCreated();
        app(CurrentCompany::class)->set(null);
        $answer = $this->actingAs($lead)->get("/api/v1/machines/$machine->id/record.json")->assertOk();
        $file = sys_get_temp_dir() . '/' . uniqid('record') . '.json';
        file_put_contents($file, $answer->getContent());
        $this->beforeApplicationDestroyed(fn (): bool => ! is_file($file) || unlink($file));

        return [$lead, $file, $machine];
    }

    /** @return array{int, string} status and what was said */
    private function verify(string ...$arguments): array
    {
        exec(base_path('bin/verify') . ' ' . implode(' ', array_map(escapeshellarg(...), $arguments)) . ' 2>&1', $lines, $status);

        return [$status, implode("\n", $lines)];
    }
}
