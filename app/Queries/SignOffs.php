<?php

declare(strict_types=1);

namespace App\Queries;

use App\Support\Moment;
use App\Views\SignatureView;
use App\Views\SignOffView;
use Illuminate\Support\Collection;

/** Who has reviewed and signed a tape, and what was written since. */
final class SignOffs
{
    /** What belongs to the signing itself and opens no addendum. */
    private const SIGNING = ['reviewed', 'signed', 'clock_started', 'clock_stopped', 'ready_asked', 'ready_answered'];

    /** @param Collection<int, \stdClass> $rows of a tape, in the order of their places */
    public static function of(Collection $rows, TapeState $state): SignOffView
    {
        $signed = $rows->where('kind', 'signed');
        $last = array_map(fn (array $s): int => $s['entry'], $state->signatures);
        $both = count($last) === 2 ? max($last) : 0;
        $review = $rows->where('kind', 'reviewed')->last();

        return new SignOffView(
            array_values($signed->map(function (\stdClass $row): SignatureView {
                $details = json_decode($row->details, true);

                return new SignatureView($row->at, $details['role'], $details['name'], Moment::iso($row->placed_at), $details['strokes']);
            })->all()),
            $review?->who,
            $review === null ? null : Moment::iso($review->placed_at),
            $state->isReviewed(),
            $both,
            $both === 0 ? 0 : $rows->where('at', '>', $both)->whereNotIn('kind', self::SIGNING)->count(),
        );
    }
}
