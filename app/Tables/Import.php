<?php

declare(strict_types=1);

namespace App\Tables;

use App\Models\User;
use App\Refusals\Refusal;
use App\Support\CurrentCompany;
use App\Support\OfficeLog;
use App\Views\ImportRowView;
use App\Views\ImportView;
use Illuminate\Database\ConnectionInterface;

/** Brings a table in: first looked at row by row, then all of it or nothing. */
abstract class Import
{
    private const SHOWN = 200;
    private const AT_ONCE = 500;

    public function __construct(protected readonly ConnectionInterface $db, protected readonly CurrentCompany $company, private readonly OfficeLog $log)
    {
    }

    /** @return list<string> */
    abstract public static function columns(): array;

    /** @return list<string> */
    abstract public static function wanted(): array;

    /**
     * What each row would make, and what is wrong with it.
     *
     * @return list<array{line: int, title: string, problems: list<string>, row: array<string, mixed>}>
     */
    abstract protected function check(CsvFile $file): array;

    /**
     * @param list<array<string, mixed>> $rows
     * @return int how many were made
     */
    abstract protected function make(array $rows): int;

    /** @throws Refusal */
    public function preview(string $bytes): ImportView
    {
        $file = CsvFile::read($bytes, static::columns(), static::wanted());

        return $this->view($file, $this->check($file), 0);
    }

    /**
     * @param string $digest of the file that was looked at
     * @throws Refusal when it is another file, or a row is wrong
     */
    public function bring(User $by, string $bytes, string $digest): ImportView
    {
        $file = CsvFile::read($bytes, static::columns(), static::wanted());
        if ($file->digest !== $digest) {
            throw Refusal::field('digest', $digest, 'the digest of the file that was looked at');
        }

        return $this->db->transaction(function () use ($by, $file): ImportView {
            $rows = $this->check($file);
            $wrong = array_values(array_filter($rows, fn (array $row): bool => $row['problems'] !== []));
            if ($wrong !== []) {
                throw Refusal::rows(count($wrong), array_map(fn (array $row): string => "Line {$row['line']}: " . implode(' ', $row['problems']), array_slice($wrong, 0, self::SHOWN)));
            }
            $made = $this->make(array_column($rows, 'row'));
            $this->log->say($by->id, 'imported', "$made rows");

            return $this->view($file, $rows, $made);
        });
    }

    /** @param list<array<string, mixed>> $rows */
    protected function insert(string $table, array $rows): void
    {
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            $this->db->table($table)->insert($some);
        }
    }

    /**
     * @param array<string, string> $cells
     * @param array<string, int> $lengths by column
     * @return list<string>
     */
    protected static function cellProblems(array $cells, array $lengths): array
    {
        $problems = [];
        foreach ($cells as $column => $cell) {
            if (CsvFile::isFormula($cell)) {
                $problems[] = "$column looks like a formula ($cell): type it as text.";
            } elseif (mb_strlen($cell) > ($lengths[$column] ?? PHP_INT_MAX)) {
                $problems[] = "$column is longer than $lengths[$column] characters.";
            }
        }
        foreach (static::wanted() as $column) {
            if (($cells[$column] ?? '') === '') {
                $problems[] = "$column is empty.";
            }
        }

        return $problems;
    }

    /** @param list<array{line: int, title: string, problems: list<string>, row: array<string, mixed>}> $rows the wrong ones are shown first */
    private function view(CsvFile $file, array $rows, int $made): ImportView
    {
        $wrong = array_values(array_filter($rows, fn (array $row): bool => $row['problems'] !== []));
        $right = array_filter($rows, fn (array $row): bool => $row['problems'] === []);

        return new ImportView($file->digest, count($rows), count($wrong), $made, array_map(fn (array $r): ImportRowView => new ImportRowView($r['line'], $r['title'], $r['problems']), array_slice([...$wrong, ...$right], 0, self::SHOWN)));
    }
}
