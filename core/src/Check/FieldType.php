<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/** The shapes a field's value can have. */
enum FieldType: string
{
    case Quantity = 'quantity';
    case Number = 'number';
    case Count = 'count';
    case Text = 'text';
    case Flag = 'flag';
    case Word = 'word';
    case Words = 'words';
    case Texts = 'texts';
    case Choice = 'choice';
    case Choices = 'choices';
    case Numbers = 'numbers';
    case Items = 'items';
    case Group = 'group';
    case Raw = 'raw';

    public function isList(): bool
    {
        return in_array($this, [self::Words, self::Texts, self::Choices, self::Numbers, self::Items], true);
    }
}
