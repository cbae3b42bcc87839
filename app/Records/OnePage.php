<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Machine;
use App\Queries\RecordSheet;
use App\Refusals\Refusal;
use App\Views\TapeEntry;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Wording\Phrases;

/**
 * What was recorded of one matter on one page, for people without an account: the crane company, the curb shop, the
 * supplier, the owner who chooses.
 */
final class OnePage
{
    /** @var array<string, list<string>> the checks each page is made of, in their order */
    private const CHECKS = [
        'curb' => ['survey.curb_fit'],
        'crane' => ['survey.crane', 'survey.rigging'],
        'order' => ['entry.order_sheet', 'survey.curb_fit', 'survey.crane'],
        'options' => ['survey.options', 'entry.option_chosen'],
    ];
    private const WIDTH = 816;
    private const HEIGHT = 1056;
    private const MARGIN = 56;
    private const LINE = 17;

    public function __construct(private readonly RecordSheet $record, private readonly Paper $paper, private readonly Phrases $phrases)
    {
    }

    /** @throws Refusal when nothing of it was recorded */
    public function pdf(Machine $machine, string $page, string $zone): string
    {
        $entries = $this->entries($machine, $page);
        $title = $this->phrases->common('pages', $page);
        $data = ['machine' => $machine, 'title' => $title, 'entries' => $entries, 'zone' => $zone, 'options' => $page === 'options' ? OptionsTable::of($entries[0]) : null,
            'drawing' => fn (TapeEntry $e): string => ($svg = Drawings::of($e, 640, 420)) === '' ? '' : 'data:image/svg+xml;base64,' . base64_encode($svg), 'sign' => Units::sign(...), 'row_name' => fn (string $row): string => $this->phrases->common('options_rows', $row)];

        return $this->paper->print('one-page', $data, "$title, $machine->name", "$machine->name  {$machine->job->site->name}");
    }

    /** @throws Refusal when nothing of it was recorded */
    public function svg(Machine $machine, string $page): string
    {
        $y = self::MARGIN;
        $body = $this->line($y, $this->phrases->common('pages', $page), 30, true) . $this->line($y, "$machine->name, {$machine->job->site->name}", 18, true)
            . $this->line($y, implode(' · ', array_filter([$machine->summary, $machine->job->site->address], fn (?string $one): bool => (string) $one !== '')), 13);
        foreach ($this->entries($machine, $page) as $entry) {
            $y += self::LINE;
            $body .= $this->line($y, "$entry->title: $entry->headline", 14, true);
            $svg = Drawings::of($entry, self::WIDTH - 2 * self::MARGIN, 380);
            if (preg_match('/^<svg [^>]*height="([\d.]+)"/', $svg, $tall) === 1) {
                $body .= (string) preg_replace('/^<svg /', '<svg x="' . self::MARGIN . "\" y=\"$y\" ", $svg);
                $y += (int) ceil((float) $tall[1]) + self::LINE;
            }
            foreach (array_chunk($this->figures($entry), 2) as $pair) {
                foreach ($pair as $i => $text) {
                    $at = $y;
                    $body .= $this->line($at, $text, 12, false, self::MARGIN + $i * (self::WIDTH / 2 - self::MARGIN));
                }
                $y += self::LINE;
            }
        }
        $height = max(self::HEIGHT, $y + self::MARGIN);

        return '<svg xmlns="http://www.w3.org/2000/svg" width="' . self::WIDTH . "\" height=\"$height\" viewBox=\"0 0 " . self::WIDTH . " $height\" font-family=\"sans-serif\"><rect width=\"100%\" height=\"100%\" fill=\"#ffffff\"/>$body</svg>";
    }

    /**
     * The pages there is something for.
     *
     * @param list<TapeEntry> $evidence
     * @return list<string>
     */
    public static function there(array $evidence): array
    {
        $recorded = array_flip(array_map(fn (TapeEntry $e): string => $e->suspect === '' ? $e->check : '', $evidence));

        return array_keys(array_filter(self::CHECKS, fn (array $checks): bool => isset($recorded[$checks[0]])));
    }

    /** @return non-empty-list<TapeEntry> the newest of each check that counts */
    private function entries(Machine $machine, string $page): array
    {
        $machine->loadMissing('job.site');
        $newest = [];
        foreach ($this->record->evidence($machine) as $entry) {
            if ($entry->suspect === '') {
                $newest[$entry->check] = $entry;
            }
        }
        $entries = array_values(array_filter(array_map(fn (string $check): ?TapeEntry => $newest[$check] ?? null, self::CHECKS[$page] ?? [])));

        return $entries === [] || ! isset($newest[self::CHECKS[$page][0]]) ? throw Refusal::notFound() : $entries;
    }

    /** @return list<string> readings and answers, a line each */
    private function figures(TapeEntry $entry): array
    {
        return [
            ...array_map(fn ($r): string => "$r->label: $r->value " . Units::sign($r->unit), $entry->readings),
            ...array_map(fn ($t): string => "$t->label: $t->value", $entry->told),
        ];
    }

    private function line(int &$y, string $text, int $size, bool $isBold = false, float $x = self::MARGIN): string
    {
        $y += (int) round($size * 1.25);

        return "<text x=\"$x\" y=\"$y\" font-size=\"$size\"" . ($isBold ? ' font-weight="bold"' : '') . ' fill="#1b1f22">' . htmlspecialchars(mb_strimwidth($text, 0, (int) (1300 / $size * 1.1), '…'), ENT_XML1) . '</text>';
    }
}
