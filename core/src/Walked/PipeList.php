<?php

declare(strict_types=1);

namespace IronStart\Core\Walked;

use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Past;

/** Gate 4: that the joints are sound. */
final class PipeList extends ItemList implements DrawsOnRecord
{
    public function id(): string
    {
        return 'list.pipe';
    }

    /** The joints that are written down answer for themselves. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $joints = $past->named('entry.joint');
        if ($joints === []) {
            return [];
        }
        $each = fn (\Closure $holds): string => array_filter($joints, $holds) === $joints ? 'yes' : 'no';

        return ['items' => [
            'joints_listed' => ['answer' => $each(fn (array $joint): bool => isset($joint['by']))],
            'joints_seen' => ['answer' => $each(fn (array $joint): bool => ($joint['state'] ?? '') === 'done' && ($joint['seen'] ?? false) === true)],
        ]];
    }

    public static function list(): array
    {
        return [
            Item::always('joints_listed'),
            Item::must('nitrogen'),
            Item::must('kept_cool'),
            Item::must('drier'),
            Item::must('stubs_capped'),
            Item::must('supports'),
            Item::must('hot_work'),
            Item::always('joints_seen'),
            Item::must('penetrations'),
            Item::optional('insulated'),
        ];
    }

    protected static function cautions(): array
    {
        return ['hot_work', 'toxic_breakdown', 'drilling_blind', 'asbestos'];
    }
}
