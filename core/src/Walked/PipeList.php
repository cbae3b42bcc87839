<?php

declare(strict_types=1);

namespace IronStart\Core\Walked;

/** Gate 4: that the joints are sound. */
final class PipeList extends ItemList
{
    public function id(): string
    {
        return 'list.pipe';
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
