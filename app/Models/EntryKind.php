<?php

declare(strict_types=1);

namespace App\Models;

/** What a line of the tape is. Its title stands in the phrases under `entries`, what it says under `tape`. */
enum EntryKind: string
{
    case Check = 'check';
    case Note = 'note';
    case Start = 'start';
    case Suspect = 'suspect';
    case Override = 'override';
    case PutBackOpened = 'put_back_opened';
    case PutBackClosed = 'put_back_closed';
    case PutBackLeft = 'put_back_left';
    case ClockStarted = 'clock_started';
    case ClockStopped = 'clock_stopped';
    case ItemOpened = 'item_opened';
    case ItemOwned = 'item_owned';
    case ItemDone = 'item_done';
    case PartDisabled = 'part_disabled';
    case PartEnabled = 'part_enabled';
    case Fact = 'fact';
    case SupplyWork = 'supply_work';
    case ReadyAsked = 'ready_asked';
    case ReadyAnswered = 'ready_answered';
    case Photo = 'photo';
    case Reviewed = 'reviewed';
    case Signed = 'signed';

    /** Pictures stand with what they show. */
    public function mayHavePhotos(): bool
    {
        return in_array($this, [self::Check, self::PutBackOpened, self::PutBackClosed, self::Note, self::ItemOpened, self::PartDisabled], true);
    }
}
