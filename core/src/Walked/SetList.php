<?php

declare(strict_types=1);

namespace IronStart\Core\Walked;

use IronStart\Core\Gate\JobType;

/** Gate 3: that the machine sits right. */
final class SetList extends ItemList
{
    public function id(): string
    {
        return 'list.set';
    }

    public static function list(): array
    {
        return [
            Item::always('match'),
            Item::must('undamaged'),
            Item::must('kit'),
            Item::must('shipping_out'),
            Item::must('level'),
            Item::must('clearances'),
            Item::must('anchored'),
            Item::must('base'),
            Item::must('discharge', JobType::Rooftop),
            Item::must('covers_out', JobType::Rooftop),
            Item::must('ducts_sealed'),
            Item::must('drain'),
            Item::must('pan'),
            Item::must('gas_line', JobType::Rooftop, JobType::Condensing),
        ];
    }

    protected static function cautions(): array
    {
        return ['local_code', 'drilling_blind', 'asbestos', 'confined_space', 'ladder', 'attic', 'insects', 'working_alone'];
    }
}
