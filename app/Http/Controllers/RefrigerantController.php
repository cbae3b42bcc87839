<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Refusals\Refusal;
use App\Tables\CsvOut;
use App\Views\PressureTableView;
use App\Views\ProblemView;
use App\Views\RefrigerantsView;
use App\Views\RefrigerantView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\InputReader;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\PressureTable;
use IronStart\Core\Refrigerant\Refrigerant;
use OpenApi\Attributes as OA;

/** The refrigerants of the shelf: what each is, and its pressure over temperature at a place. */
#[OA\Parameter(parameter: 'refrigerant', name: 'refrigerant', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
#[OA\Parameter(parameter: 'temperatureUnit', name: 'temperature', in: 'query', schema: new OA\Schema(type: 'string', enum: ['degF', 'degC']))]
#[OA\Parameter(parameter: 'pressureUnit', name: 'pressure', in: 'query', description: 'A unit of gauge pressure', schema: new OA\Schema(type: 'string'))]
#[OA\Parameter(parameter: 'altitude', name: 'altitude', in: 'query', description: 'As "5280 ft"', schema: new OA\Schema(type: 'string'))]
final class RefrigerantController
{
    private const SHOWN = ['degF' => 5, 'degC' => 2];
    private const DECIMALS = ['psig' => 1, 'barg' => 2, 'MPag' => 3, 'kgf/cm2g' => 2, 'kPag' => 0];

    #[OA\Get(path: '/api/v1/refrigerants', operationId: 'refrigerants', tags: ['shelf'], responses: [new OA\Response(response: 200, description: 'All of them', content: new OA\JsonContent(ref: RefrigerantsView::class))])]
    public function index(): JsonResponse
    {
        return Reply::with(new RefrigerantsView(array_map(RefrigerantView::of(...), Refrigerant::all())));
    }

    #[OA\Get(path: '/api/v1/refrigerants/{refrigerant}/pressures', operationId: 'pressures', tags: ['shelf'], parameters: [new OA\Parameter(ref: '#/components/parameters/refrigerant'), new OA\Parameter(ref: '#/components/parameters/temperatureUnit'), new OA\Parameter(ref: '#/components/parameters/pressureUnit'), new OA\Parameter(ref: '#/components/parameters/altitude')], responses: [new OA\Response(response: 200, description: 'In steps of 5 °F or 2 °C', content: new OA\JsonContent(ref: PressureTableView::class)), new OA\Response(response: 422, description: 'No such unit or place', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function pressures(Request $request, string $refrigerant): JsonResponse
    {
        return Reply::with(self::table($request, $refrigerant, null));
    }

    #[OA\Get(path: '/api/v1/refrigerants/{refrigerant}/pressures.csv', operationId: 'pressuresFile', tags: ['shelf'], parameters: [new OA\Parameter(ref: '#/components/parameters/refrigerant'), new OA\Parameter(ref: '#/components/parameters/temperatureUnit'), new OA\Parameter(ref: '#/components/parameters/pressureUnit'), new OA\Parameter(ref: '#/components/parameters/altitude')], responses: [new OA\Response(response: 200, description: 'Every degree', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))])]
    public function file(Request $request, string $refrigerant): Response
    {
        $table = self::table($request, $refrigerant, 1);
        $out = fopen('php://temp', 'r+');
        assert($out !== false);
        CsvOut::write($out, ["temperature_$table->temperature", "bubble_$table->pressure", "dew_$table->pressure"], $table->rows);
        rewind($out);

        return response((string) stream_get_contents($out), 200, ['Content-Type' => 'text/csv; charset=utf-8; header=present', 'Content-Disposition' => "attachment; filename=\"$table->name.csv\""]);
    }

    private static function table(Request $request, string $name, ?int $step): PressureTableView
    {
        $refrigerant = Refrigerant::named($name) ?? throw Refusal::notFound();
        $temperature = $request->query('temperature', 'degF');
        if ($temperature !== 'degF' && $temperature !== 'degC') {
            throw Refusal::field('temperature', $temperature, 'degF or degC');
        }
        $pressure = $request->query('pressure', 'psig');
        if (! is_string($pressure) || ! Units::knows(Kind::GaugePressure, $pressure)) {
            throw Refusal::field('pressure', $pressure, implode(', ', Units::of(Kind::GaugePressure)));
        }
        $rows = PressureTable::of($refrigerant, $temperature, $pressure, Site::pressure(self::site($request)), $step ?? self::SHOWN[$temperature]);
        $places = self::DECIMALS[$pressure] ?? 1;

        return new PressureTableView($refrigerant->name(), $temperature, $pressure, array_map(fn (array $r): array => [$r[0], round($r[1], $places), round($r[2], $places)], $rows));
    }

    /** Where the gauge stands, told like a check's own altitude. */
    private static function site(Request $request): Input
    {
        $told = array_filter(['altitude' => $request->query('altitude')], fn (mixed $t): bool => is_string($t) && trim($t) !== '');
        try {
            return (new InputReader(Site::fields()))->read((object) $told, fn (): array => []);
        } catch (InputError $error) {
            throw Refusal::badInput($error);
        }
    }
}
