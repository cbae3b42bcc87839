<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Models\Instrument;
use App\Queries\InstrumentList;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Views\InstrumentsView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The company's measuring instruments. What a record says of one is kept with the reading and does not change with this. */
#[OA\Schema(schema: 'InstrumentInput', required: ['name', 'kind'], properties: [new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'kind', type: 'string'), new OA\Property(property: 'serial', type: 'string'), new OA\Property(property: 'accuracy', type: 'string'), new OA\Property(property: 'due', type: 'string', format: 'date')])]
final class InstrumentController
{
    public function __construct(private readonly InstrumentList $instruments)
    {
    }

    #[OA\Get(path: '/api/v1/instruments', operationId: 'instruments', tags: ['instruments'], responses: [new OA\Response(response: 200, description: 'All of them', content: new OA\JsonContent(ref: InstrumentsView::class))])]
    public function index(): JsonResponse
    {
        return Reply::with(new InstrumentsView($this->instruments->all()));
    }

    #[Writes('/api/v1/instruments', 'addInstrument', 'instruments', 'Added', InstrumentsView::class)]
    public function store(Request $request): JsonResponse
    {
        $tool = new Instrument();
        $tool->fill(self::read(Body::of($request, 'addInstrument'), null))->save();

        return Reply::with(new InstrumentsView($this->instruments->all()), 201);
    }

    #[Writes('/api/v1/instruments/{instrument}', 'changeInstrument', 'instruments', 'Changed', InstrumentsView::class)]
    public function update(Request $request, Instrument $instrument): JsonResponse
    {
        $instrument->fill(self::read(Body::of($request, 'changeInstrument'), $instrument->id))->save();

        return Reply::with(new InstrumentsView($this->instruments->all()), 201);
    }

    /** @return array<string, string|null> */
    private static function read(Body $body, ?int $own): array
    {
        $name = trim($body->text('name'));
        $due = $body->text('due');
        if ($due !== '' && ! Moment::isDay($due)) {
            throw Refusal::field('due', $due, 'a date, as YYYY-MM-DD');
        }
        if (Instrument::query()->where('name', $name)->whereKeyNot($own ?? 0)->exists()) {
            throw Refusal::field('name', $name, 'a name that no other instrument of the company has');
        }

        return [
            'name' => $name,
            'kind' => trim($body->text('kind')),
            'serial' => trim($body->text('serial')),
            'accuracy' => trim($body->text('accuracy')),
            'calibration_due' => $due === '' ? null : $due,
        ];
    }
}
