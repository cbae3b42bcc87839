<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Models\Company;
use App\Models\Instrument;
use App\Models\User;
use App\Queries\InstrumentList;
use App\Refusals\Refusal;
use App\Tables\CsvFile;
use App\Views\InstrumentsView;
use App\Views\LoggerReadView;
use App\Views\LoggerView;
use App\Views\ProblemView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Logger\LoggerFile;
use IronStart\Core\Logger\Mapping;
use IronStart\Core\Logger\MappingError;
use OpenApi\Attributes as OA;

/** A logger's file on its way into a bench: looked at, mapped, read. Nothing of it is kept but what is recorded there. */
final class LoggerController
{
    /** Readings that go into a bench: enough for every shape a decay has. */
    private const KEPT = 240;
    private const TIMES = ['minutes', 'at'];

    public function __construct(private readonly Judge $judge, private readonly InstrumentList $instruments)
    {
    }

    #[OA\Post(path: '/api/v1/logger/{check}/{list}', operationId: 'readLogger', tags: ['checks'], parameters: [new OA\Parameter(name: 'check', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'mapping', in: 'query', description: 'What the columns are, as JSON; without it the file is only looked at', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'from', in: 'query', description: 'min from the first reading', schema: new OA\Schema(type: 'number')), new OA\Parameter(name: 'to', in: 'query', description: 'min from the first reading', schema: new OA\Schema(type: 'number'))], requestBody: new OA\RequestBody(content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))), responses: [new OA\Response(response: 200, description: 'What is in it', content: new OA\JsonContent(ref: LoggerView::class)), new OA\Response(response: 422, description: 'It can\'t be read so', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function read(Request $request, string $check, string $list, #[CurrentUser] User $person): JsonResponse
    {
        $members = self::members($this->judge->registry->get($check)->fields(), $list);
        $bytes = $request->getContent();
        if (strlen($bytes) > CsvFile::BYTES) {
            throw Refusal::tooLarge('A file has at most ' . intdiv(CsvFile::BYTES, 1_048_576) . ' MB: cut it where the test begins.');
        }
        $fields = Mapping::readings($members);
        $told = json_decode((string) $request->query('mapping', ''), true);
        try {
            $file = LoggerFile::of($bytes);
            if (! is_array($told)) {
                $proposed = $file->proposed($fields);

                return Reply::with(new LoggerView($file->top(Mapping::SEPARATORS[$proposed['separator']]), (object) ($proposed + ['zone' => Company::query()->findOrFail($person->company_id)->time_zone]), null));
            }
            $by = Mapping::read($told, $fields);
            $window = $file->read($by);
            [$from, $to] = [self::minute($request, 'from'), self::minute($request, 'to')];
            $used = $from === null && $to === null ? $window : $window->between($from ?? 0.0, $to);
            if ($used->points === []) {
                throw new MappingError('from', 'There is no reading between these minutes.');
            }

            return Reply::with(new LoggerView($file->top($by->separator), (object) $told, LoggerReadView::of($window, $used, $by, self::KEPT)));
        } catch (MappingError $error) {
            throw Refusal::told("mapping.$error->field", $error->getMessage());
        }
    }

    /** Remembered with the instrument: its next file is read the same way. */
    #[Writes('/api/v1/instruments/{instrument}/logger', 'rememberLogger', 'instruments', 'Remembered', InstrumentsView::class)]
    public function remember(Request $request, Instrument $instrument): JsonResponse
    {
        $mapping = Body::of($request, 'rememberLogger')->raw('mapping');
        if (! $mapping instanceof \stdClass || strlen((string) json_encode($mapping)) > 2000) {
            throw Refusal::field('mapping', null, 'an object that tells what the columns are');
        }
        $instrument->update(['logger' => json_decode((string) json_encode($mapping), true)]);

        return Reply::with(new InstrumentsView($this->instruments->all()), 201);
    }

    /**
     * @param list<Field> $fields
     * @return list<Field> of a list of readings over time
     */
    private static function members(array $fields, string $list): array
    {
        foreach ($fields as $field) {
            $isOverTime = array_filter($field->fields, fn (Field $f): bool => in_array($f->name, self::TIMES, true)) !== [];
            if ($field->type === FieldType::Items && $field->name === $list && $isOverTime) {
                return $field->fields;
            }
        }
        throw Refusal::notFound();
    }

    private static function minute(Request $request, string $name): ?float
    {
        $given = $request->query($name);
        if ($given === null || $given === '') {
            return null;
        }

        return is_string($given) && is_numeric($given) && (float) $given >= 0 ? (float) $given : throw Refusal::field($name, $given, 'minutes from the first reading');
    }
}
