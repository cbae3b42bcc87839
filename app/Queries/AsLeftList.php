<?php

declare(strict_types=1);

namespace App\Queries;

use App\Views\AsLeftView;
use App\Views\TapeEntry;
use App\Views\ToldView;
use IronStart\Core\Plan\AsLeft;
use IronStart\Core\Wording\Phrases;

/** How a machine was left, in words: by matter, as it was written last. */
final readonly class AsLeftList
{
    /** They are names of the page's own; all others are those of motors, places and settings. */
    private const NAMED = ['monitor', 'sheave', 'disconnect', 'fault_current'];
    private const TRANSFORMER = 'transformer';

    public function __construct(private Phrases $phrases)
    {
    }

    /**
     * @param list<TapeEntry> $entries oldest first
     * @return list<AsLeftView>
     */
    public function of(array $entries): array
    {
        $counting = array_filter($entries, fn (TapeEntry $one): bool => $one->kind === 'check' && $one->suspect === '' && $one->supersededBy === null && in_array($one->check, AsLeft::FROM, true));
        $left = AsLeft::of(array_values(array_map(fn (TapeEntry $one): array => ['check' => $one->check, 'input' => (array) json_decode((string) json_encode($one->input), true), 'values' => (array) json_decode((string) json_encode($one->values), true)], $counting)));
        $views = [];
        foreach ($left as $matter => $rows) {
            $views[] = new AsLeftView($matter, $this->phrases->common('as_left', $matter), array_map(fn (array $row): ToldView => new ToldView($this->named($matter, $row[0]), $row[1]), $rows));
        }

        return $views;
    }

    private function named(string $matter, string $name): string
    {
        return in_array($matter, self::NAMED, true) || ($matter === 'taps' && $name === self::TRANSFORMER) ? $this->phrases->common('as_left_names', $name) : $name;
    }
}
