<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Role;
use Illuminate\Testing\TestResponse;
use IronStart\Core\PutBack\PutBackKind;

final class PutBackTest extends FeatureTestCase
{
    public function testWhatIsPutOnByHandHoldsWhatItsKindShuts(): void
    {
        $helper = $this->person(Role::Helper);
        $machine = $this->machine($helper);
        $open = $this->write($helper, "machines/$machine->id/put-back", ['kind' => 'valve_shut', 'where' => 'liquid, circuit A'])->assertCreated();
        $open->assertJsonPath('machine.putBack.0.what', 'Service valve closed: liquid, circuit A')->assertJsonPath('machine.putBack.0.shuts', [8, 9])->assertJsonPath('machine.putBack.0.closed', false);
        $open->assertJsonPath('machine.tape.0.kind', 'put_back_opened')->assertJsonPath('machine.tape.0.headline', 'Service valve closed: liquid, circuit A');
        self::assertContains('Held by the put-back list: Service valve closed: liquid, circuit A.', $open->json('machine.startRefused'));
        $this->write($helper, "machines/$machine->id/put-back/{$open->json('putBack')}/close", ['word' => 'open, seven turns'])->assertCreated()
            ->assertJsonPath('machine.putBack.0.closed', true)->assertJsonPath('machine.tape.0.headline', 'Service valve closed: liquid, circuit A: open, seven turns');
    }

    public function testWhatIsLeftOutOnPurposeStillShutsButNoLongerHoldsTheHandover(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $id = $this->write($starter, "machines/$machine->id/put-back", ['kind' => 'damper_blocked', 'where' => 'outside air, actuator on order'])->assertCreated()->json('putBack');
        $whole = ['reason' => 'the actuator comes on Friday', 'owner' => 'Ines Varga', 'due' => now()->addDays(3)->format('Y-m-d')];
        foreach (['due' => now()->subDays(3)->format('Y-m-d'), 'owner' => ' ', 'reason' => ''] as $field => $bad) {
            $this->write($starter, "machines/$machine->id/put-back/$id/leave", [$field => $bad] + $whole)->assertStatus(422)->assertJsonPath('field', $field);
        }
        $this->write($starter, "machines/$machine->id/put-back/$id/leave", ['due' => '2030-02-31'] + $whole)->assertStatus(422)->assertJsonPath('field', 'due');
        $held = fn (TestResponse $answer): bool => str_contains((string) json_encode($answer->json('machine.gates.11.missing')), 'put_back');
        $before = $this->write($starter, "machines/$machine->id/notes", ['text' => 'x']);
        self::assertTrue($held($before));
        $left = $this->write($starter, "machines/$machine->id/put-back/$id/leave", $whole)->assertCreated();
        self::assertFalse($held($left));
        $left->assertJsonPath('machine.putBack.0.closed', false)->assertJsonPath('machine.putBack.0.owner', 'Ines Varga')->assertJsonPath('machine.putBack.0.due', $whole['due'])
            ->assertJsonPath('machine.tape.0.kind', 'put_back_left');
        self::assertStringContainsString('Damper blocked', $left->json('machine.gates.9.sentence'));
        self::assertStringContainsString('the actuator comes on Friday', $left->json('machine.tape.0.headline'));
        $this->write($starter, "machines/$machine->id/put-back/$id/leave", ['owner' => 'Noor Haddad'] + $whole)->assertJsonPath('machine.putBack.0.owner', 'Noor Haddad')->assertJsonCount(1, 'machine.putBack');
        $closed = $this->write($starter, "machines/$machine->id/put-back/$id/close", ['word' => 'fitted'])->assertCreated();
        self::assertStringNotContainsString('Damper blocked', $closed->json('machine.gates.9.sentence'));
        $this->write($starter, "machines/$machine->id/put-back/$id/leave", $whole)->assertStatus(409);
    }

    public function testWithTheDoorsOnNoPanelIsOff(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        foreach (['supply side, for the wheel', 'gas section'] as $where) {
            $this->write($starter, "machines/$machine->id/put-back", ['kind' => 'panel_off', 'where' => $where])->assertCreated();
        }
        $this->write($starter, "machines/$machine->id/put-back", ['kind' => 'damper_blocked', 'where' => 'outside air'])->assertCreated();
        $closed = fn (TestResponse $answer): array => array_column($answer->assertCreated()->json('machine.putBack'), 'closed');
        self::assertSame([false, false, false], $closed($this->record($starter, $machine, 'list.prestart', ['items' => [['id' => 'doors_on', 'answer' => 'no']]])));
        $walked = $this->record($starter, $machine, 'list.prestart', ['items' => [['id' => 'doors_on', 'answer' => 'yes']]]);
        self::assertSame([true, true, false], $closed($walked));
        self::assertSame([7, 6, 5, 4, 3, 2, 1], array_column($walked->json('machine.tape'), 'at'));
        $walked->assertJsonPath('machine.news', 7)->assertJsonPath('at', 5)->assertJsonPath('machine.tape.0.headline', 'Panel, door or guard off: gas section: back on, per the pre-start list');
    }

    public function testALockIsNeverOpenedByHandAndNothingWithoutAPlace(): void
    {
        $helper = $this->person(Role::Helper);
        $machine = $this->machine($helper);
        foreach (['lock', 'nothing'] as $kind) {
            $this->write($helper, "machines/$machine->id/put-back", ['kind' => $kind, 'where' => 'x'])->assertStatus(422)->assertJsonPath('field', 'kind');
        }
        $this->write($helper, "machines/$machine->id/put-back", ['kind' => 'panel_off', 'where' => ' '])->assertStatus(422)->assertJsonPath('field', 'where');
    }

    public function testTheSameLockStandsInTheListOnce(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->record($starter, $machine, 'power.lockout', self::lockout());
        $this->record($starter, $machine, 'power.lockout', self::lockout())->assertJsonCount(1, 'machine.putBack');
        $this->record($starter, $machine, 'power.lockout', ['lock_id' => '8'] + self::lockout())->assertJsonCount(2, 'machine.putBack');
        $this->record($starter, $machine, 'power.lockout', ['volts_ab' => '90 V', 'lock_id' => '9'] + self::lockout())->assertJsonCount(2, 'machine.putBack');
    }

    public function testTheKindsAreThoseOfTheTable(): void
    {
        $known = [];
        foreach (PutBackKind::cases() as $kind) {
            $known[$kind->value] = [$kind->shuts(), $kind->limitMinutes()];
        }
        self::assertSame([[8], 15], $known['safety_bypassed']);
        self::assertSame([[], 60], $known['detector']);
        self::assertSame([[6, 8], null], $known['cores_out']);
        self::assertCount(30, $this->actingAs($this->person(Role::Helper))->getJson('/api/v1/checks')->json('putBackKinds'));
    }

    public function testNewsIsTheLastPlaceOnTheTape(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->actingAs($starter)->getJson("/api/v1/machines/$machine->id/news")->assertExactJson(['feed' => 0, 'news' => 0]);
        $this->write($starter, "machines/$machine->id/notes", ['text' => 'x']);
        $this->actingAs($starter)->getJson("/api/v1/machines/$machine->id/news")->assertExactJson(['feed' => 0, 'news' => 1]);
    }
}
