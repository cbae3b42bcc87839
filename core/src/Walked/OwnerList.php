<?php

declare(strict_types=1);

namespace IronStart\Core\Walked;

use IronStart\Core\Gate\JobType;

/** Gate 12: what the owner is told before everybody leaves. */
final class OwnerList extends ItemList
{
    public function id(): string
    {
        return 'list.owner';
    }

    public static function list(): array
    {
        return [
            Item::must('set_points'),
            Item::must('filters'),
            Item::must('mode_holder', JobType::Vrf),
            Item::optional('alarms', JobType::Vrf),
            Item::always('left_undone'),
            Item::must('shut_offs'),
            Item::must('papers'),
            Item::must('initials'),
        ];
    }
}
