<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/** A check of whose input a part is known already from what was recorded on the machine. */
interface DrawsOnRecord
{
    /**
     * The members of the input that the record gives; those of a list item under the list's name by the item's own.
     *
     * @return array<string, mixed>
     */
    public static function bringsIn(Past $past, string $subject): array;
}
