<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** All that the Machine screen needs. */
#[OA\Schema(required: ['id', 'name', 'place', 'serial', 'summary', 'history', 'site', 'job', 'jobType', 'status', 'current', 'next', 'gates', 'putBack', 'tape', 'startRefused', 'startedAt', 'openings', 'sheet', 'prefill', 'instruments', 'news', 'items', 'parts', 'partsOut', 'facts', 'ready', 'signOff', 'digest', 'plate', 'fans', 'version', 'tooEarly', 'cautions', 'feed'])]
final readonly class MachineView
{
    /**
     * @param list<GateView> $gates
     * @param list<PutBackView> $putBack
     * @param list<TapeEntry> $tape
     * @param list<string> $startRefused
     * @param list<OpeningView> $openings
     * @param list<InstrumentView> $instruments
     * @param list<OpenItemView> $items
     * @param list<string> $parts
     * @param list<PartOutView> $partsOut
     * @param list<FactView> $facts
     * @param list<string> $fans
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $place,
        #[OA\Property()]
        public string $serial,
        #[OA\Property()]
        public string $summary,
        #[OA\Property()]
        public string $history,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $job,
        #[OA\Property()]
        public string $jobType,
        #[OA\Property()]
        public string $status,
        #[OA\Property()]
        public ?int $current,
        #[OA\Property()]
        public string $next,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GateView::class))]
        public array $gates,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PutBackView::class))]
        public array $putBack,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TapeEntry::class))]
        public array $tape,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $startRefused,
        #[OA\Property()]
        public ?int $startedAt,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OpeningView::class))]
        public array $openings,
        #[OA\Property(nullable: true)]
        public ?SheetOfUnitView $sheet,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $prefill,
        #[OA\Property(type: 'array', items: new OA\Items(ref: InstrumentView::class))]
        public array $instruments,
        #[OA\Property()]
        public int $news,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OpenItemView::class))]
        public array $items,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $parts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PartOutView::class))]
        public array $partsOut,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FactView::class))]
        public array $facts,
        #[OA\Property()]
        public ?ReadyView $ready,
        #[OA\Property(ref: SignOffView::class)]
        public SignOffView $signOff,
        #[OA\Property()]
        public string $digest,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $plate,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $fans,
        #[OA\Property()]
        public int $version,
        /** Readings that come too early as it stands, as `check:base`, with the gate that is not open for them: they are kept, marked out of order. */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))]
        public object $tooEarly,
        /** What the job adds to the cautions of a check: a list of them by `check:base`, the base being `machine`, `loaded` or `old_disconnect`. */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')))]
        public object $cautions,
        #[OA\Property(nullable: true)]
        public ?FeedView $feed,
    ) {
    }
}
