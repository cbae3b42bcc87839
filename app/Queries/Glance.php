<?php

declare(strict_types=1);

namespace App\Queries;

/** What a board shows of one machine's standing. */
final readonly class Glance
{
    /**
     * @param list<string> $states of each question, as the rod shows it
     * @param int|null     $current the question it is at; null where all are answered
     * @param string       $next what to do next, in one sentence; empty when nothing is left
     * @param list<string> $notes what stands beside the questions
     * @param list<string> $left open items nobody has done
     * @param int          $out how much is out that has to be put back
     */
    public function __construct(
        public array $states,
        public ?int $current,
        public string $state,
        public string $question,
        public string $sentence,
        public string $status,
        public string $next,
        public array $notes,
        public array $left,
        public int $out,
        public bool $isBegun,
    ) {
    }

    public static function from(Standing $standing): self
    {
        $line = $standing->current();

        return new self(
            $standing->states(),
            $standing->gates->current,
            $line->state ?? '',
            $line->question ?? '',
            $line->sentence ?? '',
            $standing->gates->status()->value,
            $standing->next,
            $standing->notes(),
            array_values(array_map(fn (array $item): string => $item['what'], array_filter($standing->tape->items, fn (array $item): bool => $item['done'] === ''))),
            count($standing->putBack),
            $standing->tape->said !== [],
        );
    }
}
