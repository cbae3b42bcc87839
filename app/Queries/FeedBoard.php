<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Views\FeedAskView;
use App\Views\FeedUnitView;
use App\Views\FeedView;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;

/** A machine's feed as it is shown: what hangs on it, which way each was found to turn, and what is to be read here too. */
final readonly class FeedBoard
{
    public function __construct(private Feeds $feeds, private Speaker $speaker, private Phrases $phrases)
    {
    }

    public function of(Machine $machine): ?Feed
    {
        return $this->feeds->of([$machine->id])[$machine->id] ?? null;
    }

    /** @return list<FeedView> all that were told at a site */
    public function at(int $site): array
    {
        return array_values(array_map($this->view(...), $this->feeds->of($this->feeds->onePerPanel($site))));
    }

    public function view(Feed $feed): FeedView
    {
        $units = array_map(function (mixed $item) use ($feed): FeedUnitView {
            $told = is_array($item) ? $item : [];
            $machine = is_string($told['machine'] ?? null) ? $told['machine'] : '';

            return new FeedUnitView((string) ($told['name'] ?? ''), $feed->units[$machine] ?? null, (string) ($told['feeds_from'] ?? ''), $feed->direction($machine), $feed->asks($machine) !== []);
        }, (array) ($feed->input['items'] ?? []));

        $breaker = $feed->input['breaker'] ?? '';

        return new FeedView($feed->panel, is_array($breaker) ? implode(' ', array_map(strval(...), array_filter($breaker, is_scalar(...)))) : (string) $breaker, $this->asks($feed), array_values($units), $feed->news);
    }

    /** @return list<FeedAskView> */
    public function asks(Feed $feed): array
    {
        return array_map(fn (array $ask): FeedAskView => new FeedAskView($ask['kind'], $ask['from'], $this->speaker->format($this->phrases->common('feed', $ask['kind']), ['from' => $ask['from'], 'panel' => $feed->panel]), $ask['read']), $feed->asks());
    }
}
