<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Sheet;
use App\Models\SheetVersion;
use Carbon\CarbonImmutable;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Keeps an equipment sheet as a new version, after it has met the published schema. */
final class KeepSheet
{
    /** @throws Problem naming the first member that is not right */
    public function keep(string $json): SheetVersion
    {
        $body = json_decode($json);
        self::validate($body);
        /** @var array<string, mixed> $members */
        $members = json_decode($json, true);
        $sheet = Sheet::query()->firstOrCreate(['model' => $members['model']], ['maker' => $members['maker'] ?? '', 'kind' => $members['kind']]);
        $last = SheetVersion::query()->where('sheet_id', $sheet->id)->max('version');

        return SheetVersion::query()->create(['sheet_id' => $sheet->id, 'version' => (int) $last + 1, 'body' => $members, 'created_at' => CarbonImmutable::now()]);
    }

    /** @throws Problem */
    private static function validate(mixed $body): void
    {
        $schema = json_decode((string) file_get_contents(database_path('schemas/equipment-sheet.schema.json')));
        if (! $schema instanceof \stdClass) {
            throw new \LogicException('The schema of the equipment sheet can\'t be read.');
        }
        $error = (new Validator())->validate($body, $schema)->error();
        if ($error !== null) {
            $told = (new ErrorFormatter())->format($error, false);
            $path = (string) array_key_first($told);
            throw Problem::field('sheet' . strtr($path, '/', '.'), null, 'what the schema of the equipment sheet allows: ' . current($told));
        }
    }
}
