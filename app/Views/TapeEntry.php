<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One line of a machine's tape. */
#[OA\Schema(required: ['at', 'kind', 'who', 'whoId', 'deviceAt', 'recordedAt', 'title', 'headline', 'check', 'subject', 'status', 'marginal', 'because', 'next', 'basis', 'readings', 'readingsInAll', 'input', 'instrument', 'instrumentDue', 'instrumentOverdue', 'source', 'license', 'conditions', 'suspect', 'supersededBy', 'outOfOrder', 'reason', 'placedAt', 'correctionMs', 'about', 'photos', 'values', 'drawing', 'told', 'mayPhoto'])]
final readonly class TapeEntry
{
    /**
     * @param list<string> $because
     * @param list<string> $next
     * @param list<string> $basis
     * @param list<ReadingView> $readings
     * @param list<int> $outOfOrder
     * @param list<PhotoView> $photos
     * @param list<ToldView> $told
     */
    public function __construct(
        #[OA\Property()]
        public int $at,
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public string $who,
        #[OA\Property()]
        public int $whoId,
        #[OA\Property()]
        public string $deviceAt,
        #[OA\Property()]
        public string $recordedAt,
        #[OA\Property()]
        public string $title,
        #[OA\Property()]
        public string $headline,
        #[OA\Property()]
        public string $check,
        #[OA\Property()]
        public string $subject,
        #[OA\Property()]
        public string $status,
        #[OA\Property()]
        public bool $marginal,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $because,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $next,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $basis,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadingView::class))]
        public array $readings,
        #[OA\Property()]
        public int $readingsInAll,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $input,
        #[OA\Property()]
        public string $instrument,
        #[OA\Property()]
        public string $instrumentDue,
        #[OA\Property()]
        public bool $instrumentOverdue,
        /** The file the readings come from; '' where they were typed. */
        #[OA\Property()]
        public string $source,
        /** The number under which refrigerant was moved. */
        #[OA\Property()]
        public string $license,
        /** What it was like when the amps were read. */
        #[OA\Property()]
        public string $conditions,
        #[OA\Property()]
        public string $suspect,
        #[OA\Property()]
        public ?int $supersededBy,
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $outOfOrder,
        #[OA\Property()]
        public string $reason,
        #[OA\Property()]
        public string $placedAt,
        #[OA\Property()]
        public int $correctionMs,
        #[OA\Property()]
        public ?int $about,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PhotoView::class))]
        public array $photos,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $values,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $drawing,
        /** What was answered or chosen besides the readings; the record tells it, the tape has it in its input. */
        #[OA\Property(type: 'array', items: new OA\Items(ref: ToldView::class))]
        public array $told,
        #[OA\Property()]
        public bool $mayPhoto,
    ) {
    }
}
