<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\DayView;
use Carbon\CarbonImmutable;
use IronStart\Core\Wording\Phrases;
use Sabre\VObject\Component\VCalendar;

/** Days something is due as a calendar (iCalendar, RFC 5545): one all-day event each, with a reminder the morning of it. */
final class DayCalendar
{
    public function __construct(private readonly Phrases $phrases)
    {
    }

    /** @param list<DayView> $days */
    public function of(array $days): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Iron Start//Days//EN']);
        foreach ($days as $day) {
            $at = CarbonImmutable::parse($day->day);
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "$day->id@iron-start.invalid",
                'DTSTAMP' => CarbonImmutable::now()->utc()->toDateTimeImmutable(),
                'SUMMARY' => $this->phrases->common('days', $day->kind) . ": $day->what ($day->machine)",
                'LOCATION' => $day->site,
            ]);
            $calendar->add($event);
            $event->add('DTSTART', $at->format('Ymd'), ['VALUE' => 'DATE']);
            $event->add('DTEND', $at->addDay()->format('Ymd'), ['VALUE' => 'DATE']);
            $event->add('VALARM', ['ACTION' => 'DISPLAY', 'TRIGGER' => 'PT7H', 'DESCRIPTION' => $day->what]);
        }

        return $calendar->serialize();
    }
}
