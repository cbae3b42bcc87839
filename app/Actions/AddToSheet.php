<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Machine;
use App\Models\SheetVersion;
use App\Models\User;
use App\Queries\Standings;
use App\Refusals\Refusal;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Sheet\EquipmentSheet;

/**
 * Figures that a sheet lacked and a bench was told: they go into its next version. Work that has begun keeps the version it
 * was started with.
 */
final class AddToSheet
{
    public function __construct(private readonly KeepSheet $keep, private readonly Judge $judge)
    {
    }

    /**
     * @param array<mixed> $input of the check as it was entered
     * @throws Refusal when the machine has no sheet, or its newest version lacks none of it
     */
    public function add(Machine $machine, User $by, string $check, string $subject, array $input): SheetVersion
    {
        $own = $machine->loadMissing('sheet')->sheet ?? throw Refusal::conflict('This unit has no sheet yet: give it one in the Office first.');
        $newest = SheetVersion::query()->where('sheet_id', $own->sheet_id)->orderByDesc('version')->firstOrFail();
        $fields = $this->judge->registry->get($check)->fields();
        // Against what this unit's sheet lacks as well: a figure of it is changed on the Shelf, with a look at both.
        $lacking = array_intersect_key((new EquipmentSheet($newest->body))->lacking($fields, $subject, $input), Standings::sheet($machine)->lacking($fields, $subject, $input));
        if ($lacking === []) {
            throw Refusal::already("Version $newest->version of the sheet has these figures already.");
        }
        $body = (new EquipmentSheet($newest->body))->with($lacking, $subject);

        return $this->keep->keep((string) json_encode($body, JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR), $by, $newest->version);
    }
}
