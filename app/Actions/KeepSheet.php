<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Sheet;
use App\Models\SheetVersion;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\OfficeLog;
use Carbon\CarbonImmutable;
use Illuminate\Database\ConnectionInterface;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Keeps an equipment sheet as a new version, after it has met the published schema. */
final class KeepSheet
{
    public function __construct(private readonly ConnectionInterface $db, private readonly OfficeLog $log)
    {
    }

    /**
     * @param int|null $seen the version that was changed
     * @throws Refusal naming the first member that is not right, or when another version was made meanwhile
     */
    public function keep(string $json, ?User $by = null, ?int $seen = null): SheetVersion
    {
        $body = json_decode($json);
        if (! $body instanceof \stdClass) {
            throw Refusal::field('sheet', null, 'one JSON object, as the schema of the equipment sheet has it');
        }
        self::validate($body);
        /** @var array<string, mixed> $members */
        $members = json_decode($json, true);

        return $this->db->transaction(function () use ($members, $by, $seen): SheetVersion {
            $sheet = Sheet::query()->firstOrCreate(['model' => $members['model']], ['maker' => $members['maker'] ?? '', 'kind' => $members['kind']]);
            Sheet::query()->lockForUpdate()->findOrFail($sheet->id);
            $last = (int) SheetVersion::query()->where('sheet_id', $sheet->id)->max('version');
            if ($seen !== null && $seen !== $last) {
                throw Refusal::already("Version $last was made meanwhile. Look at it first.");
            }
            if ($by !== null) {
                $this->log->say($by->id, 'sheet', "{$members['model']}, version " . ($last + 1));
            }

            return SheetVersion::query()->create(['sheet_id' => $sheet->id, 'version' => $last + 1, 'body' => $members, 'user_id' => $by?->id, 'created_at' => CarbonImmutable::now()]);
        });
    }

    /** @throws Refusal */
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
            throw Refusal::field('sheet' . strtr($path, '/', '.'), null, 'what the schema of the equipment sheet allows: ' . current($told));
        }
    }
}
