<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A job in the list of jobs. */
#[OA\Schema(required: ['id', 'site', 'title', 'startsOn', 'endsOn', 'people', 'machines', 'done'])]
final readonly class JobRowView
{
    /**
     * @param list<string> $people
     * @param list<JobMachineView> $machines
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $title,
        #[OA\Property()]
        public string $startsOn,
        #[OA\Property()]
        public string $endsOn,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: JobMachineView::class))]
        public array $machines,
        #[OA\Property()]
        public int $done,
    ) {
    }
}
