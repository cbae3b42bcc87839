<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Views\OpeningView;
use IronStart\Core\Check\Past;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\Opening;
use IronStart\Core\Gate\Refusal;
use IronStart\Core\Wording\GateSpeaker;

/** Whether the valves of a machine's circuits may be opened, and why not. */
final class Openings
{
    private const CHARGE = 9;

    public function __construct(private readonly GateSpeaker $speaker)
    {
    }

    /** @return list<OpeningView> one for each circuit */
    public function of(Machine $machine, Standing $standing, Past $past): array
    {
        return array_map(fn (array $circuit): OpeningView => new OpeningView(
            $circuit['name'],
            $this->speaker->valvesRefused($this->before($machine, $standing, $circuit['name'])),
            $this->speaker->valvesRefused(Opening::notInAccount($past, $circuit['name'])),
        ), Standings::sheet($machine)->circuits());
    }

    /**
     * @param array<mixed> $input of the opening
     * @return array{list<string>, list<int>} the reasons, and the gates they lie at
     */
    public function refused(Machine $machine, Standing $standing, Past $past, string $subject, array $input): array
    {
        $circuit = str_starts_with($subject, 'circuit:') ? substr($subject, strlen('circuit:')) : $standing->job->circuits[0] ?? '';
        $refused = [
            ...$this->before($machine, $standing, $circuit),
            ...(($input['released'] ?? '') === 'weighed' ? Opening::notInAccount($past, $circuit) : []),
        ];
        $gates = array_map(fn (Refusal $r): int => $r->kind === Refusal::CYLINDER ? self::CHARGE : CheckTable::gatesOf(explode(':', $r->what)[0])[0], $refused);

        return [$this->speaker->valvesRefused($refused), array_values(array_unique($gates))];
    }

    /** @return list<Refusal> */
    private function before(Machine $machine, Standing $standing, string $circuit): array
    {
        return Opening::refused($standing->gates, $standing->job, $circuit, Standings::sheet($machine)->hasInverter());
    }
}
