<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\ClockView;
use Sabre\VObject\Component\VCalendar;

/** Clocks as a calendar (iCalendar, RFC 5545): one event at each end, that rings. */
final class ClockCalendar
{
    private const MINUTES = 5;

    /** @param list<ClockView> $clocks */
    public function of(array $clocks, string $now): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Iron Start//Clocks//EN']);
        foreach ($clocks as $clock) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "$clock->id@iron-start.invalid",
                'DTSTAMP' => new \DateTimeImmutable($now),
                'SUMMARY' => "$clock->machine: $clock->name",
                'DESCRIPTION' => $clock->next,
                'DTSTART' => new \DateTimeImmutable($clock->endsAt),
                'DTEND' => (new \DateTimeImmutable($clock->endsAt))->modify('+' . self::MINUTES . ' minutes'),
            ]);
            $calendar->add($event);
            $event->add('VALARM', ['ACTION' => 'DISPLAY', 'TRIGGER' => 'PT0S', 'DESCRIPTION' => $clock->name]);
        }

        return $calendar->serialize();
    }
}
