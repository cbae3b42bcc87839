<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The record of a machine: twelve answers, then the evidence. */
#[OA\Schema(required: ['company', 'site', 'address', 'job', 'machine', 'summary', 'serial', 'model', 'history', 'madeAt', 'status', 'answers', 'overrides', 'putBack', 'evidence', 'people', 'readings', 'verdicts', 'items', 'partsOut', 'facts', 'signOff', 'recordId', 'digest', 'fingerprint', 'instruments', 'notes', 'differs', 'pages', 'asLeft'])]
final readonly class RecordView
{
    /**
     * @param list<GateView> $answers
     * @param list<OverrideView> $overrides
     * @param list<PutBackView> $putBack
     * @param list<TapeEntry> $evidence
     * @param list<string> $people
     * @param list<OpenItemView> $items
     * @param list<PartOutView> $partsOut
     * @param list<FactView> $facts
     * @param list<InstrumentUsedView> $instruments
     * @param list<string> $pages
     * @param list<string> $notes what stands on the first page besides: out of order, late, doubted
     * @param list<string> $differs what is not as it was chained when it was written, a sentence each
     * @param list<AsLeftView> $asLeft how it was left, by matter
     */
    public function __construct(
        #[OA\Property()]
        public string $company,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $address,
        #[OA\Property()]
        public string $job,
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public string $summary,
        #[OA\Property()]
        public string $serial,
        #[OA\Property()]
        public string $model,
        #[OA\Property()]
        public string $history,
        #[OA\Property()]
        public string $madeAt,
        #[OA\Property()]
        public string $status,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GateView::class))]
        public array $answers,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OverrideView::class))]
        public array $overrides,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PutBackView::class))]
        public array $putBack,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapeEntry::class))]
        public array $evidence,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $people,
        #[OA\Property()]
        public int $readings,
        #[OA\Property()]
        public int $verdicts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OpenItemView::class))]
        public array $items,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartOutView::class))]
        public array $partsOut,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FactView::class))]
        public array $facts,
        #[OA\Property(ref: SignOffView::class)]
        public SignOffView $signOff,
        #[OA\Property()]
        public string $recordId,
        #[OA\Property()]
        public string $digest,
        #[OA\Property()]
        public string $fingerprint,
        #[OA\Property(type: 'array', items: new OA\Items(ref: InstrumentUsedView::class))]
        public array $instruments,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $notes,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $differs,
        /** Matters there is a page of their own for. */
        #[OA\Property(items: new OA\Items(type: 'string', enum: ['curb', 'tree', 'crane', 'order', 'options', 'label', 'finding', 'form', 'as_left', 'door']))]
        public array $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AsLeftView::class))]
        public array $asLeft,
    ) {
    }
}
