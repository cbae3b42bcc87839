<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A job as the office keeps it. */
#[OA\Schema(required: ['id', 'title', 'type', 'startUpOnly', 'facts', 'startsOn', 'endsOn', 'version', 'peopleIds', 'people', 'machines'])]
final readonly class DeskJobView
{
    /**
     * @param list<string> $facts
     * @param list<int> $peopleIds
     * @param list<string> $people
     * @param list<DeskMachineView> $machines
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $title,
        #[OA\Property()]
        public string $type,
        #[OA\Property()]
        public bool $startUpOnly,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $facts,
        #[OA\Property()]
        public string $startsOn,
        #[OA\Property()]
        public string $endsOn,
        #[OA\Property()]
        public int $version,
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $peopleIds,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeskMachineView::class))]
        public array $machines,
    ) {
    }
}
