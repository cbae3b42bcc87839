<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Input;
use IronStart\Core\Verdict\Limit;

/** One load of the rotation check, and what its signs mean. */
final class RotatingLoad
{
    private const ON_THE_LINE = ['across_line', 'soft_starter', 'part_winding'];
    private const COMPRESSORS = ['scroll', 'screw', 'reciprocating'];
    /** A scroll or screw that draws less than this share of its plate amps does no work. */
    private const IDLE = 0.6;
    /** s; a scroll stands a minute backwards, a screw's rotors and bearings run dry in seconds. */
    private const SPARED = ['scroll' => 60.0, 'screw' => 5.0];
    /** s; from here the oil is tested for acid too. */
    private const OIL_TEST = 3600.0;
    /** Proofs after a reversal that are read with the power off. */
    private const READ_DEAD = ['windings', 'insulation', 'oil_acid'];

    public Turning $turns = Turning::Unknown;
    /** The signs of this load contradict each other. */
    public bool $clash = false;
    /** It may be running backwards while another moves the pressures. */
    public bool $suspect = false;
    /** Loud and idle, and yet it alone moved the pressures. */
    public bool $drawsLittle = false;

    /** @param list<string> $checked */
    private function __construct(
        public readonly string $name,
        public readonly string $kind,
        public readonly string $drive,
        public readonly string $observed,
        /** Tagged out of service: it counts nowhere. */
        public readonly bool $out,
        /** Passes the order of the lines on: the three-phase contactor, soft starter, part winding, star-delta. */
        public readonly bool $onTheLine,
        /** On the line, and of a kind that shows it. */
        public readonly bool $sensitive,
        /** Net oil pressure read and right; null where nobody said. */
        public readonly ?bool $oil,
        private readonly ?bool $pressureMoved,
        public readonly ?string $noise,
        private readonly ?float $ratio,
        public readonly ?float $secondsBackwards,
        private readonly array $checked,
    ) {
    }

    public static function read(Input $load): self
    {
        $onTheLine = in_array($load->text('drive'), self::ON_THE_LINE, true);
        $ratio = $load->maybe('amps_ratio') ?? ($load->all('amps', 'plate_amps') ? $load->number('amps') / $load->number('plate_amps') : null);
        $flag = fn (string $name): ?bool => $load->given($name) ? $load->flag($name) : null;

        return new self(
            $load->text('name'),
            $load->text('kind'),
            $load->text('drive'),
            $load->text('observed'),
            $load->flag('out'),
            $onTheLine,
            $onTheLine && $load->text('kind') !== 'reciprocating',
            $flag('oil_ok'),
            $flag('pressure_moved'),
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

    public function isCompressor(): bool
    {
        return in_array($this->kind, self::COMPRESSORS, true);
    }

    /** A reciprocating compressor on the line: it pumps either way, its oil pump may not. */
    public function isReciprocatingOnTheLine(): bool
    {
        return $this->kind === 'reciprocating' && $this->onTheLine;
    }

    /**
     * Weighs the signs of a sensitive load.
     *
     * @param bool $forward the meter or monitor says the order is right
     * @param bool $reverse … says it is reversed
     * @param bool $another another compressor runs here that could move the pressures
     */
    public function settle(bool $forward, bool $reverse, bool $another): void
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
        $loudAndIdle = $this->loud() && $this->idle() && $seen !== Turning::Backwards;
        $this->drawsLittle = $loudAndIdle && $this->pressureMoved === true && ! $another;
        $this->suspect = $loudAndIdle && $this->pressureMoved !== false && ! $this->drawsLittle;
        $this->clash = $this->pressureMoved === true && $seen === Turning::Backwards;
        $this->turns = match (true) {
            // Signs that exclude each other say nothing of the direction.
            $this->clash => Turning::Unknown,
            $this->pressureMoved === true => $this->suspect ? Turning::Unknown : Turning::Correct,
            $this->isQuiet() => $reverse && ! $forward ? Turning::Backwards : Turning::Unknown,
            $this->pressureMoved === false => $this->notPumping() || $seen === Turning::Backwards ? Turning::Backwards : Turning::Unknown,
            $seen === Turning::Correct => $this->wordIsEnough($forward) ? Turning::Correct : Turning::Unknown,
            default => $seen,
        };
    }

    /** A scroll or screw that moves no pressure and makes no noise: a flat circuit, a closed valve, an unloader. */
    public function isQuiet(): bool
    {
        return $this->isRotary() && $this->pressureMoved === false && $this->noise === 'normal' && $this->observed !== 'backwards';
    }

    /** Convicted by few amps alone: nobody said how it sounds. */
    public function wantsNoise(): bool
    {
        return $this->turns === Turning::Backwards && $this->isRotary() && $this->noise === null && $this->observed !== 'backwards';
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
        return $this->ratio !== null && Limit::under($this->ratio, self::IDLE);
    }

    private function notPumping(): bool
    {
        return $this->loud() || $this->idle();
    }

    /**
     * A load behind its own drive that turns backwards: it is mended there, not at the supply.
     *
     * At part speed an inverter or an electronic motor draws few amps when all is well: there only noise convicts.
     */
    public function turnsBackwardsOnItsDrive(): bool
    {
        if ($this->onTheLine) {
            return false;
        }
        $signs = $this->loud() || ($this->drive === 'single_phase' && $this->idle());

        return $this->observed === 'backwards' || ($this->isRotary() && $this->pressureMoved === false && ! $this->isQuiet() && $signs);
    }

    /** It pumps, and has been loud since it ran backwards. */
    public function isStillLoud(): bool
    {
        return $this->isRotary() && $this->pressureMoved === true && $this->observed !== 'backwards' && $this->loud()
            && ($this->secondsBackwards ?? 0.0) > 0.0 && ! $this->suspect;
    }

    /** It ran backwards for longer than it stands, and the proofs are not all in. */
    public function awaitsProof(): bool
    {
        return $this->secondsBackwards !== null && Limit::over($this->secondsBackwards, self::SPARED[$this->kind] ?? INF) && $this->unproved() !== [];
    }

    /** @return list<string> the proofs still owed that are read with the power off */
    public function unprovedDead(): array
    {
        return array_values(array_intersect(self::READ_DEAD, $this->unproved()));
    }

    /** @return list<string> the proofs still owed */
    public function unproved(): array
    {
        $owed = ['windings', 'insulation', 'amps_pressures'];
        if ($this->secondsBackwards !== null && Limit::over($this->secondsBackwards, self::OIL_TEST)) {
            $owed[] = 'oil_acid';
        }

        return array_values(array_diff($owed, $this->checked));
    }
}
