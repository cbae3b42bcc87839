<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Machine;
use App\Queries\AsLeftList;
use App\Queries\RecordSheet;
use App\Queries\Standings;
use App\Refusals\Refusal;
use App\Views\AsLeftView;
use App\Views\PhotoView;
use App\Views\TapeEntry;
use App\Views\ToldView;
use IronStart\Core\Plan\AsLeft;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Wording\Phrases;

/**
 * What was recorded of one matter on one page, for people without an account: the crane company, the curb shop, the
 * supplier, the owner who chooses or pays.
 */
final class OnePage
{
    /** @var array<string, list<string>> the checks each page is made of, in their order */
    private const CHECKS = [
        'curb' => ['survey.curb_fit'],
        'tree' => ['vrf.topology'],
        'crane' => ['survey.crane', 'survey.rigging'],
        'order' => ['entry.order_sheet', 'survey.curb_fit', 'survey.crane'],
        'options' => ['survey.options', 'entry.option_chosen'],
        'label' => ['charge.weigh_in'],
        'finding' => ['entry.finding'],
        'form' => ['entry.maker_form'],
        'as_left' => AsLeft::FROM,
        'door' => ['power.rotation', 'power.circuit', 'power.fault_current', 'compressor.match'],
    ];
    /** How tall its drawings may get, so that all of it stands on one page. */
    private const TALLEST = ['curb' => 330, 'tree' => 0, 'crane' => 280, 'order' => 170, 'options' => 0, 'label' => 0, 'finding' => 0, 'form' => 0, 'as_left' => 0, 'door' => 0];
    /** Their figures are sentences: one a line. */
    private const IN_LINES = ['finding', 'form', 'door'];
    /** They tell of every part and matter, and of whatever of it there is. */
    private const OF_ALL = ['label', 'as_left', 'door'];
    /** Papers it is printed on, with the lines of a tree that stand on one sheet of each. */
    public const PAPERS = ['letter' => 30, 'a4' => 34, 'a3' => PHP_INT_MAX];
    private const WIDTH = 816;
    private const HEIGHT = 1056;
    private const MARGIN = 56;
    private const LINE = 17;
    private const COLUMNS = 3;
    private const COLUMN = 235;
    private const GAP = 12;
    /** The tallest a photo stands. */
    private const PHOTO = 320;
    /** Of a letter's height; bold ones are the widest. */
    private const LETTER = 0.6;

    public function __construct(private readonly RecordSheet $record, private readonly Paper $paper, private readonly Phrases $phrases, private readonly ChargeLabel $label, private readonly DoorLabel $door, private readonly AsLeftList $left, private readonly PhotoStore $photos)
    {
    }

    /** @throws Refusal when nothing of it was recorded */
    public function pdf(Machine $machine, string $page, string $zone, string $size = 'letter'): string
    {
        $entries = $this->entries($machine, $page);
        $title = $this->phrases->common('pages', $page);
        $data = ['machine' => $machine, 'title' => $title, 'entries' => $entries, 'zone' => $zone, 'options' => $page === 'options' ? OptionsTable::of($entries[0]) : null,
            'drawings' => fn (TapeEntry $e): array => array_map(fn (string $svg): string => 'data:image/svg+xml;base64,' . base64_encode($svg), $page === 'tree' ? self::pieces($e, self::PAPERS[$size]) : array_filter([self::drawing($page, $e, 600)], fn (string $svg): bool => $svg !== '')), 'figures' => fn (TapeEntry $e): array => $this->figures($machine, $page, $e), 'photos' => $page === 'finding' ? $this->photos->of($machine) : null, 'wide' => in_array($page, self::IN_LINES, true), 'is_left' => in_array($page, self::OF_ALL, true), 'row_name' => fn (string $row): string => $this->phrases->common('options_rows', $row)];

        return $this->paper->print('one-page', $data, "$title, $machine->name", "$machine->name  {$machine->job->site->name}", $size);
    }

    /** @throws Refusal when nothing of it was recorded */
    public function svg(Machine $machine, string $page): string
    {
        $y = self::MARGIN;
        $body = $this->line($y, $this->phrases->common('pages', $page), 30, true) . $this->line($y, "$machine->name, {$machine->job->site->name}", 18, true)
            . $this->line($y, implode(' · ', array_filter([$machine->summary, $machine->job->site->address], fn (?string $one): bool => (string) $one !== '')), 13);
        $file = $page === 'finding' ? $this->photos->of($machine) : null;
        foreach ($this->entries($machine, $page) as $entry) {
            $y += self::LINE;
            $body .= $this->line($y, "$entry->title: $entry->headline", 14, true);
            $svg = self::drawing($page, $entry, self::WIDTH - 2 * self::MARGIN);
            if (preg_match('/^<svg [^>]*height="([\d.]+)"/', $svg, $tall) === 1) {
                $body .= (string) preg_replace('/^<svg /', '<svg x="' . self::MARGIN . "\" y=\"$y\" ", $svg);
                $y += (int) ceil((float) $tall[1]) + self::LINE;
            }
            $columns = in_array($page, self::IN_LINES, true) ? 1 : self::COLUMNS;
            foreach (array_chunk($this->figures($machine, $page, $entry), $columns) as $row) {
                $bottom = $y;
                foreach ($row as $i => [$label, $figure]) {
                    $at = $y;
                    $body .= $this->line($at, "$label: $figure", 12, false, self::MARGIN + $i * self::COLUMN, $columns === 1 ? self::WIDTH - 2 * self::MARGIN : self::COLUMN - self::GAP);
                    $bottom = max($bottom, $at);
                }
                $y = $bottom;
            }
            foreach ($file === null ? [] : $entry->photos as $photo) {
                $body .= $this->picture($y, $file($photo), $photo);
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

        return array_keys(array_filter(self::CHECKS, fn (array $checks, string $page): bool => $page === 'as_left' ? array_intersect_key(array_flip($checks), $recorded) !== [] : isset($recorded[$checks[0]]), ARRAY_FILTER_USE_BOTH));
    }

    /** @return non-empty-list<TapeEntry> the newest of each check that counts */
    private function entries(Machine $machine, string $page): array
    {
        $machine->loadMissing('job.site');
        $newest = [];
        foreach ($this->record->evidence($machine) as $entry) {
            if ($entry->suspect === '') {
                $newest[$entry->check][$entry->subject] = $entry;
            }
        }
        $checks = self::CHECKS[$page] ?? [];
        // A label tells of every circuit; the other pages of one thing each.
        $of = fn (string $check): array => in_array($page, self::OF_ALL, true) ? array_values($newest[$check] ?? []) : array_slice(array_values($newest[$check] ?? []), -1);
        $entries = array_merge([], ...array_map($of, $checks));

        return $entries === [] || ($page !== 'as_left' && ! isset($newest[$checks[0]])) ? throw Refusal::notFound() : $entries;
    }

    /** @return list<string> a tree in as many pieces as the paper makes of it */
    private static function pieces(TapeEntry $entry, int $lines): array
    {
        /** @var array<string, mixed> $drawing */
        $drawing = json_decode((string) json_encode($entry->drawing), true);

        return TreeDrawing::parts($drawing, $lines);
    }

    /** What the page is about is drawn; the rigging of a crane's sheet is told in figures. */
    private static function drawing(string $page, TapeEntry $entry, int $width): string
    {
        return in_array($page, self::OF_ALL, true) || $entry->check === 'survey.rigging' ? '' : Drawings::of($entry, (float) $width, (float) self::TALLEST[$page]);
    }

    /** @return list<array{string, string}> readings and answers with their names; what is read of one item of a list stands together */
    private function figures(Machine $machine, string $page, TapeEntry $entry): array
    {
        if ($page === 'label') {
            $refrigerant = Standings::sheet($machine)->figure('circuit.refrigerant', $entry->subject);

            return $this->label->figures($entry, is_string($refrigerant) ? $refrigerant : '');
        }
        if ($page === 'door') {
            return $this->door->figures($entry);
        }
        if ($page === 'as_left') {
            return array_merge([], ...array_map(fn (AsLeftView $matter): array => array_map(fn (ToldView $row): array => [$row->label, $row->value], $matter->rows), $this->left->of([$entry])));
        }
        if ($page === 'form') {
            $items = json_decode((string) json_encode($entry->input), true)['items'] ?? [];

            return array_map(fn (array $item): array => [(string) $item['name'], (string) ($item['answer'] ?? '')], $items);
        }
        if ($page === 'tree') {
            return [];
        }
        if ($page === 'order' && $entry->check !== self::CHECKS['order'][0]) {
            return [];
        }
        $figures = $items = [];
        foreach ($entry->readings as $reading) {
            $said = "$reading->value " . Units::sign($reading->unit);
            if (preg_match('/^(\d+): (.+)$/', $reading->label, $part) === 1) {
                $items[$part[1]][] = lcfirst($part[2]) . " $said";
            } else {
                $figures[] = [$reading->label, $said];
            }
        }
        foreach ($entry->told as $told) {
            $figures[] = [$told->label, $told->value];
        }
        foreach ($items as $number => $said) {
            $figures[] = ["$number", implode(', ', $said)];
        }

        return $figures;
    }

    private function picture(int &$y, string $file, PhotoView $photo): string
    {
        if ($file === '') {
            return '';
        }
        $height = min(self::PHOTO, (int) round((self::WIDTH - 2 * self::MARGIN) * $photo->height / max(1, $photo->width)));
        $width = (int) round($height * $photo->width / max(1, $photo->height));
        $image = '<image x="' . self::MARGIN . '" y="' . ($y + self::GAP) . "\" width=\"$width\" height=\"$height\" href=\"data:image/jpeg;base64," . base64_encode((string) file_get_contents($file)) . '"/>';
        $y += self::GAP + $height;

        return $image . ($photo->caption === '' ? '' : $this->line($y, $photo->caption, 12));
    }

    /** One line, or as many as the words need. */
    private function line(int &$y, string $words, int $size, bool $isBold = false, int $x = self::MARGIN, int $room = self::WIDTH - 2 * self::MARGIN): string
    {
        $text = '';
        foreach (explode("\n", wordwrap($words, (int) ($room / ($size * self::LETTER)))) as $line) {
            $y += (int) round($size * 1.25);
            $text .= "<text x=\"$x\" y=\"$y\" font-size=\"$size\"" . ($isBold ? ' font-weight="bold"' : '') . ' fill="#1b1f22">' . htmlspecialchars($line, ENT_XML1) . '</text>';
        }

        return $text;
    }
}
