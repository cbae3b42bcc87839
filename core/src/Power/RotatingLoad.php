<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Input;

/** One load of the rotation check, and what its signs mean. */
final class RotatingLoad
{
    private const ON_THE_LINE = ['across_line', 'soft_starter', 'part_winding'];
    /** A scroll or screw that draws less than this share of its plate amps does no work. */
    private const IDLE = 0.6;
    /** s; a scroll stands a minute backwards, a screw's rotors and bearings run dry in seconds. */
    private const SPARED = ['scroll' => 60.0, 'screw' => 5.0];
    /** s; from here the oil is tested for acid too. */
    private const OIL_TEST = 3600.0;

    public Turning $turns = Turning::Unknown;
    /** The signs of this load contradict each other. */
    public bool $clash = false;
    /** It may be running backwards while another moves the pressures. */
    public bool $suspect = false;

    /** @param list<string> $checked */
    private function __construct(
        public readonly string $name,
        public readonly string $kind,
        public readonly string $drive,
        public readonly string $observed,
        /** Passes the order of the lines on: the three-phase contactor, soft starter, part winding, star-delta. */
        public readonly bool $onTheLine,
        /** On the line, and of a kind that shows it. */
        public readonly bool $sensitive,
        private readonly ?bool $pressureMoved,
        private readonly ?string $noise,
        private readonly ?float $ratio,
        public readonly ?float $secondsBackwards,
        private readonly array $checked,
    ) {
    }

    public static function read(Input $load): self
    {
        $onTheLine = in_array($load->text('drive'), self::ON_THE_LINE, true);
        $ratio = $load->maybe('amps_ratio') ?? ($load->all('amps', 'plate_amps') ? $load->number('amps') / $load->number('plate_amps') : null);

        return new self(
            $load->text('name'),
            $load->text('kind'),
            $load->text('drive'),
            $load->text('observed'),
            $onTheLine,
            $onTheLine && $load->text('kind') !== 'reciprocating',
            $load->given('pressure_moved') ? $load->flag('pressure_moved') : null,
            $load->given('noise') ? $load->text('noise') : null,
            $ratio,
            $load->maybe('hours_backwards'),
            $load->words('checked'),
        );
    }

    /** Scroll or screw: pumps one way only. */
    public function isRotary(): bool
    {
        return $this->kind === 'scroll' || $this->kind === 'screw';
    }

    /** Weighs the signs of a sensitive load. @param bool $forward the meter or monitor says the order is right */
    public function settle(bool $forward): void
    {
        if (! $this->sensitive) {
            return;
        }
        $seen = match ($this->observed) {
            'correct' => Turning::Correct,
            'backwards' => Turning::Backwards,
            default => Turning::Unknown,
        };
        if (! $this->isRotary()) {
            $this->turns = $seen;

            return;
        }
        $loudAndIdle = $this->loud() && $this->idle();
        $this->suspect = $this->pressureMoved !== false && $seen !== Turning::Backwards && $loudAndIdle;
        $this->clash = $this->pressureMoved === true && $seen === Turning::Backwards;
        $this->turns = match (true) {
            $this->pressureMoved === true => $loudAndIdle ? Turning::Unknown : Turning::Correct,
            $this->pressureMoved === false => $this->notPumping() || $seen === Turning::Backwards ? Turning::Backwards : Turning::Unknown,
            $seen === Turning::Correct => $this->wordIsEnough($forward) ? Turning::Correct : Turning::Unknown,
            default => $seen,
        };
    }

    /** Nobody sees into a sealed compressor: a word counts only with another sign beside it, and none against. */
    private function wordIsEnough(bool $forward): bool
    {
        return ! $this->notPumping() && ($this->noise !== null || $this->ratio !== null || $forward);
    }

    private function loud(): bool
    {
        return $this->noise === 'loud';
    }

    private function idle(): bool
    {
        return $this->ratio !== null && $this->ratio < self::IDLE;
    }

    private function notPumping(): bool
    {
        return $this->loud() || $this->idle();
    }

    /** A load behind its own drive that turns backwards: mended at the drive's output, not at the supply. */
    public function driveReversed(): bool
    {
        if ($this->onTheLine) {
            return false;
        }
        // At part speed an inverter's compressor draws few amps when all is well: only its noise convicts.
        $signs = $this->loud() || ($this->idle() && $this->drive !== 'inverter');

        return $this->observed === 'backwards' || ($this->isRotary() && $this->pressureMoved === false && $signs);
    }

    /** It ran backwards for longer than it stands, and the proofs are not all in. */
    public function awaitsProof(): bool
    {
        $spared = self::SPARED[$this->kind] ?? INF;

        return $this->secondsBackwards !== null && $this->secondsBackwards > $spared * (1 + 1e-9) && $this->unproved() !== [];
    }

    /** @return list<string> the proofs still owed */
    public function unproved(): array
    {
        $owed = ['windings', 'insulation', 'amps_pressures'];
        if ($this->secondsBackwards !== null && $this->secondsBackwards > self::OIL_TEST * (1 + 1e-9)) {
            $owed[] = 'oil_acid';
        }

        return array_values(array_diff($owed, $this->checked));
    }
}
