<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A job as the office and its crew see it: each unit with its rod, what holds it, and what the job needs. */
#[OA\Schema(required: ['id', 'siteId', 'site', 'address', 'title', 'type', 'startsOn', 'endsOn', 'people', 'machines', 'bring', 'same', 'van'])]
final readonly class JobBoardView
{
    /**
     * @param list<string> $people
     * @param list<JobMachineView> $machines
     * @param list<BringView> $bring
     * @param list<SameModelView> $same
     * @param list<VanPartView> $van
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public int $siteId,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $address,
        #[OA\Property()]
        public string $title,
        #[OA\Property()]
        public string $type,
        #[OA\Property()]
        public string $startsOn,
        #[OA\Property()]
        public string $endsOn,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: JobMachineView::class))]
        public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BringView::class))]
        public array $bring,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SameModelView::class))]
        public array $same,
        #[OA\Property(type: 'array', items: new OA\Items(ref: VanPartView::class))]
        public array $van,
    ) {
    }
}
