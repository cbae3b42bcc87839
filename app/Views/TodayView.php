<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The day's board. */
#[OA\Schema(required: ['date', 'lead', 'jobs', 'putBack', 'due'])]
final readonly class TodayView
{
    /**
     * @param list<TodayJob> $jobs
     * @param list<PutBackView> $putBack
     * @param list<DayView> $due by today
     */
    public function __construct(
        #[OA\Property()]
        public string $date,
        #[OA\Property(nullable: true, oneOf: [new OA\Schema(ref: TodayLead::class)])]
        public ?TodayLead $lead,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TodayJob::class))]
        public array $jobs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PutBackView::class))]
        public array $putBack,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DayView::class))]
        public array $due,
    ) {
    }
}
