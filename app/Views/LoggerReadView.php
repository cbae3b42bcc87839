<?php

declare(strict_types=1);

namespace App\Views;

use IronStart\Core\Logger\Mapping;
use IronStart\Core\Logger\Series;
use OpenApi\Attributes as OA;

/** What was read of a logger's file, with everything about it that is not plain. */
#[OA\Schema(required: ['total', 'used', 'minutes', 'startsAt', 'every', 'gaps', 'unread', 'unreadCount', 'duplicates', 'blanks', 'midnights', 'whole', 'points'])]
final readonly class LoggerReadView
{
    private const DECIMALS = 4;

    /**
     * @param list<string> $gaps "from to" in minutes
     * @param list<string> $unread
     * @param list<list<float>> $whole the whole file in few points, minutes and the first reading, to be drawn
     * @param list<array<string, mixed>> $points those that go into the bench
     */
    public function __construct(
        #[OA\Property()]
        public int $total,
        #[OA\Property()]
        public int $used,
        #[OA\Property()]
        public float $minutes,
        #[OA\Property()]
        public string $startsAt,
        /** Seconds that most readings lie apart. */
        #[OA\Property()]
        public float $every,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $gaps,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $unread,
        #[OA\Property()]
        public int $unreadCount,
        #[OA\Property()]
        public int $duplicates,
        #[OA\Property()]
        public int $blanks,
        #[OA\Property()]
        public int $midnights,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))]
        public array $whole,
        #[OA\Property(items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $points,
    ) {
    }

    /** @param Series $used the part of the file that is wanted */
    public static function of(Series $file, Series $used, Mapping $by, int $most): self
    {
        $minutes = fn (float $seconds): float => round($seconds / 60, self::DECIMALS);
        $last = $file->points[count($file->points) - 1]['seconds'] ?? 0.0;

        return new self(
            count($file->points),
            count($used->points),
            $minutes($last),
            self::moment($file->startsAt, $by),
            $file->every,
            array_map(fn (array $g): string => round($g['from'], 1) . ' ' . round($g['to'], 1), $file->gaps),
            array_map(fn (array $u): string => "{$u['line']}: {$u['cell']}", $file->unread),
            $file->unreadCount,
            $file->duplicates,
            $file->blanks,
            $file->midnights,
            array_map(fn (array $p): array => [$minutes($p['seconds']), $p['values'][0] ?? 0.0], $file->thinned($most)),
            array_map(fn (array $p): array => [
                'minutes' => $minutes($p['seconds']),
                'at' => self::moment($used->startsAt === null ? null : $used->startsAt + $p['seconds'], $by),
                'values' => array_combine(array_keys($by->values), $p['values']),
            ], $used->thinned($most)),
        );
    }

    private static function moment(?float $at, Mapping $by): string
    {
        return $at === null ? '' : (new \DateTimeImmutable('@' . (int) floor($at)))->setTimezone($by->zone)->format('Y-m-d\TH:i:sP');
    }
}
