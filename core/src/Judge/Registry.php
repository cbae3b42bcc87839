<?php

declare(strict_types=1);

namespace IronStart\Core\Judge;

use IronStart\Core\Air;
use IronStart\Core\Charge;
use IronStart\Core\Check\Check;
use IronStart\Core\Compressor;
use IronStart\Core\Condensate;
use IronStart\Core\Controls;
use IronStart\Core\Diagnose;
use IronStart\Core\Dry;
use IronStart\Core\Entry;
use IronStart\Core\Gate;
use IronStart\Core\Heat;
use IronStart\Core\Piping;
use IronStart\Core\Power;
use IronStart\Core\Refrigerant;
use IronStart\Core\Run;
use IronStart\Core\Safety;
use IronStart\Core\Survey;
use IronStart\Core\Tight;
use IronStart\Core\Vrf;
use IronStart\Core\Walked;

/** The checks there are, by id. Adding a check begins with a line here. */
final class Registry
{
    private const CHECKS = [
        'power.supply_identity' => Power\SupplyIdentity::class,
        'power.voltage' => Power\Voltage::class,
        'power.rotation' => Power\Rotation::class,
        'power.lockout' => Power\Lockout::class,
        'power.circuit' => Power\Circuit::class,
        'power.plate_math' => Power\PlateMath::class,
        'power.temporary_supply' => Power\TemporarySupply::class,
        'power.control_voltage' => Power\ControlVoltage::class,
        'power.running_amps' => Power\RunningAmps::class,
        'power.leg_roll' => Power\LegRoll::class,
        'power.single_phase_split' => Power\SinglePhaseSplit::class,
        'power.drop' => Power\JointDrop::class,
        'power.fault_current' => Power\FaultCurrent::class,
        'power.grounding' => Power\Grounding::class,
        'power.disconnect' => Power\Disconnect::class,
        'power.transformer_va' => Power\TransformerVa::class,
        'power.dials' => Power\Dials::class,
        'power.motor_tap' => Power\MotorTap::class,
        'power.feeder' => Power\Feeder::class,
        'compressor.match' => Compressor\Replacement::class,
        'compressor.inverter' => Compressor\Inverter::class,
        'compressor.windings' => Compressor\Windings::class,
        'compressor.insulation' => Compressor\Insulation::class,
        'compressor.acid' => Compressor\Acid::class,
        'survey.curb_fit' => Survey\CurbFit::class,
        'survey.route' => Survey\Route::class,
        'survey.rigging' => Survey\Rigging::class,
        'survey.crane' => Survey\Crane::class,
        'survey.structure' => Survey\Structure::class,
        'survey.options' => Survey\Options::class,
        'refrigerant.way_out' => Refrigerant\WayOut::class,
        'refrigerant.rebound' => Refrigerant\Rebound::class,
        'refrigerant.cylinder' => Refrigerant\Cylinder::class,
        'refrigerant.account' => Refrigerant\Account::class,
        'refrigerant.saturation' => Refrigerant\Saturation::class,
        'tight.hold' => Tight\Hold::class,
        'dry.log' => Dry\Log::class,
        'dry.decay' => Dry\Decay::class,
        'dry.water' => Dry\Water::class,
        'dry.pull_time' => Dry\PullTime::class,
        'charge.weigh_in' => Charge\WeighIn::class,
        'charge.line_check' => Charge\LineCheck::class,
        'charge.orifice' => Charge\Orifice::class,
        'charge.target_superheat' => Charge\TargetSuperheat::class,
        'charge.state' => Charge\State::class,
        'charge.trim' => Charge\Trim::class,
        'charge.room_limit' => Charge\RoomLimit::class,
        'diagnose.cooling' => Diagnose\Cooling::class,
        'diagnose.root_cause' => Diagnose\RootCause::class,
        'air.state' => Air\State::class,
        'air.mix' => Air\Mix::class,
        'air.split' => Air\Split::class,
        'air.flow' => Air\Flow::class,
        'air.static' => Air\StaticPressure::class,
        'air.fan_drive' => Air\FanDrive::class,
        'heat.gas_pressure' => Heat\GasPressure::class,
        'heat.gas_rate' => Heat\GasRate::class,
        'heat.rise' => Heat\Rise::class,
        'heat.electric' => Heat\Electric::class,
        'heat.heat_pump' => Heat\HeatPump::class,
        'controls.staging' => Controls\Staging::class,
        'controls.leaving_air' => Controls\LeavingAir::class,
        'controls.terminals' => Controls\Terminals::class,
        'controls.settings' => Controls\Settings::class,
        'controls.sequence' => Controls\Sequence::class,
        'controls.alarms' => Controls\Alarms::class,
        'condensate.trap' => Condensate\Trap::class,
        'condensate.float' => Condensate\FloatSwitch::class,
        'piping.reuse' => Piping\Reuse::class,
        'piping.purge' => Piping\Purge::class,
        'piping.flare_torque' => Piping\FlareTorque::class,
        'piping.bulb' => Piping\Bulb::class,
        'piping.equivalent_length' => Piping\EquivalentLength::class,
        'piping.insulation' => Piping\Insulation::class,
        'controls.call_path' => Controls\CallPath::class,
        'safety.smoke' => Safety\Smoke::class,
        'safety.leak_sensor' => Safety\LeakSensor::class,
        'run.standing_pressure' => Run\StandingPressure::class,
        'run.warm_up' => Run\WarmUp::class,
        'run.first_start' => Run\FirstStart::class,
        'vrf.topology' => Vrf\Topology::class,
        'vrf.addresses' => Vrf\Addresses::class,
        'vrf.wire_map' => Vrf\WireMap::class,
        'vrf.warm_up' => Vrf\WarmUp::class,
        'vrf.commission' => Vrf\Commission::class,
        'vrf.run_plan' => Vrf\RunPlan::class,
        'vrf.crossed_zones' => Vrf\CrossedZones::class,
        'vrf.leak_by' => Vrf\LeakBy::class,
        'vrf.charge' => Vrf\ChargeAndRoom::class,
        'entry.option_chosen' => Entry\OptionChosen::class,
        'entry.lift_day' => Entry\LiftDay::class,
        'entry.order_sheet' => Entry\OrderSheet::class,
        'entry.orphan_load' => Entry\OrphanLoad::class,
        'entry.valve' => Entry\Valve::class,
        'entry.open_valves' => Entry\OpenValves::class,
        'entry.service_mode' => Entry\ServiceMode::class,
        'entry.oil' => Entry\Oil::class,
        'entry.part_failed' => Entry\PartFailed::class,
        'entry.swap' => Entry\Swap::class,
        'entry.breaker_tripped' => Entry\BreakerTripped::class,
        'entry.lug_torque' => Entry\LugTorque::class,
        'entry.feed' => Entry\Feed::class,
        'entry.first_step' => Entry\FirstStep::class,
        'entry.conditions' => Entry\Conditions::class,
        'entry.flush' => Entry\Flush::class,
        'entry.joint' => Entry\Joint::class,
        'entry.hot_work' => Entry\HotWork::class,
        'entry.code' => Entry\CodeSeen::class,
        'entry.maker_form' => Entry\MakerForm::class,
        'entry.sensor' => Entry\SensorTruth::class,
        'entry.hours' => Entry\Hours::class,
        'entry.spares' => Entry\Spares::class,
        'entry.warranty' => Entry\Warranty::class,
        'entry.next_look' => Entry\NextLook::class,
        'entry.finding' => Entry\CustomerFinding::class,
        'list.set' => Walked\SetList::class,
        'list.pipe' => Walked\PipeList::class,
        'list.prestart' => Walked\PrestartList::class,
        'list.owner' => Walked\OwnerList::class,
        'job.gates' => Gate\JobGates::class,
    ];

    /** @var array<string, Check> */
    private array $made = [];

    /** @return list<string> */
    public function ids(): array
    {
        return array_keys(self::CHECKS);
    }

    /** @throws UnknownCheck when there is no such check */
    public function get(string $id): Check
    {
        $class = self::CHECKS[$id] ?? throw UnknownCheck::named($id, $this->ids());

        return $this->made[$id] ??= new $class();
    }
}
