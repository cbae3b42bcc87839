<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Role;
use IronStart\Core\Gate\PutBackKind;

final class PutBackTest extends FeatureTestCase
{
    public function testWhatIsPutOnByHandHoldsWhatItsKindShuts(): void
    {
        $helper = $this->person(Role::Helper);
        $machine = $this->machine($helper);
        $open = $this->write($helper, "machines/$machine->id/put-back", ['kind' => 'valve_shut', 'where' => 'liquid, circuit A'])->assertCreated();
        $open->assertJsonPath('machine.putBack.0.what', 'Service valve shut: liquid, circuit A')->assertJsonPath('machine.putBack.0.shuts', [8, 9])->assertJsonPath('machine.putBack.0.closed', false);
        $open->assertJsonPath('machine.tape.0.kind', 'put_back_opened')->assertJsonPath('machine.tape.0.headline', 'Service valve shut: liquid, circuit A');
        self::assertStringContainsString('Service valve shut', $open->json('machine.startRefused.0'));
        $this->write($helper, "machines/$machine->id/put-back/{$open->json('putBack')}/close", ['word' => 'open, seven turns'])->assertCreated()
            ->assertJsonPath('machine.putBack.0.closed', true)->assertJsonPath('machine.tape.0.headline', 'Service valve shut: liquid, circuit A: open, seven turns');
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
        self::assertCount(19, $this->actingAs($this->person(Role::Helper))->getJson('/api/v1/checks')->json('putBackKinds'));
    }

    public function testNewsIsTheLastPlaceOnTheTape(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->actingAs($starter)->getJson("/api/v1/machines/$machine->id/news")->assertExactJson(['news' => 0]);
        $this->write($starter, "machines/$machine->id/notes", ['text' => 'x']);
        $this->actingAs($starter)->getJson("/api/v1/machines/$machine->id/news")->assertExactJson(['news' => 1]);
    }
}
