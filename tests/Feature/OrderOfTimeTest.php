<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\Role;
use Carbon\CarbonImmutable;
use Illuminate\Testing\TestResponse;

/** What was written without signal takes its place when it arrives, whatever the device's clock says. */
final class OrderOfTimeTest extends FeatureTestCase
{
    public function testALockoutThatArrivesLateStandsBeforeTheReadingThatNeedsIt(): void
    {
        [$starter, $machine] = $this->reversed();
        // Written four minutes ago on a phone without signal; a colleague's reading came in between.
        $this->read($starter, $machine, 'abc', 120, 120)->assertJsonPath('machine.gates.6.sentence', 'Read again, but no lockout was recorded in between, so the new reading does not count. Lock out, record it, read again.');
        $late = $this->sent($starter, $machine, 'power.lockout', self::lockout(), 240, 0, 'phone')->assertCreated();
        self::assertSame([2, 3, 1], array_column($late->json('machine.tape'), 'at'));
        self::assertStringNotContainsString('no lockout is recorded', $late->json('machine.gates.6.sentence'));
    }

    public function testAClockADayWrongKeepsTheOrderAndBothTimesAreShown(): void
    {
        [$starter, $machine] = $this->reversed();
        $day = 86_400;
        $this->sent($starter, $machine, 'power.lockout', self::lockout(), 60 - $day, -$day, 'tablet')->assertCreated();
        $last = $this->read($starter, $machine, 'abc', 0, 0)->assertCreated();
        self::assertSame([3, 2, 1], array_column($last->json('machine.tape'), 'at'));
        $lockout = $last->json('machine.tape.1');
        self::assertEqualsWithDelta(-$day * 1000, $lockout['correctionMs'], 5_000);
        $apart = CarbonImmutable::parse($lockout['deviceAt'])->diffInSeconds(CarbonImmutable::parse($lockout['recordedAt']));
        self::assertEqualsWithDelta(60 - $day, $apart, 5);
        $placed = CarbonImmutable::parse($lockout['placedAt'])->diffInSeconds(CarbonImmutable::parse($lockout['recordedAt']));
        self::assertEqualsWithDelta(60, $placed, 5);
    }

    public function testATimeThatIsNoneIsRefused(): void
    {
        [$starter, $machine] = $this->reversed();
        $this->write($starter, "machines/$machine->id/notes", ['text' => 'x'], ['X-Device-Sent' => 'yesterday'])->assertStatus(422)->assertJsonPath('field', 'X-Device-Sent');
    }

    /** @return array{User, Machine} with a reversed supply, read five minutes ago */
    private function reversed(): array
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->read($starter, $machine, 'cba', 300, 300)->assertCreated();

        return [$starter, $machine];
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function read(User $person, Machine $machine, string $meter, int $ago, int $arrivedAgo): TestResponse
    {
        $this->travelTo(CarbonImmutable::now()->subSeconds($arrivedAgo));
        $answer = $this->sent($person, $machine, 'power.rotation', ['meter' => $meter], $ago - $arrivedAgo, 0, 'other');
        $this->travelBack();

        return $answer;
    }

    /**
     * @param array<string, mixed> $input
     * @param int $ago seconds, by the device's clock, that it was written before now
     * @param int $off seconds the device's clock is behind
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function sent(User $person, Machine $machine, string $check, array $input, int $ago, int $off, string $device): TestResponse
    {
        $iso = fn (int $back): string => CarbonImmutable::now()->subSeconds($back)->format('Y-m-d\TH:i:s.v\Z');

        return $this->write($person, "machines/$machine->id/checks/$check", ['input' => $input], ['X-Device' => $device, 'X-Device-Time' => $iso($ago), 'X-Device-Sent' => $iso($off)]);
    }
}
