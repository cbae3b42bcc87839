<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/** A part that failed: what, how, and where it went. */
final class PartFailed implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.part_failed';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('what')->needed(),
            Field::text('how')->needed(),
            Field::flag('kept')->default(false),
            Field::text('sent_to'),
        ];
    }

    /**
     * The compressors among what failed: each that is named first, not one whose contactor or heater it was.
     *
     * @param list<string> $said  what failed, as it was written
     * @param list<string> $names of the machine's compressors
     * @return list<string> in the order of the machine
     */
    public static function compressors(array $said, array $names): array
    {
        $first = array_map(fn (string $one): string => mb_strtolower(trim((preg_split('/[,;:(]|\.(\s|$)/', $one) ?: [''])[0]), 'UTF-8'), $said);

        return array_values(array_filter($names, function (string $name) use ($first): bool {
            $name = mb_strtolower($name, 'UTF-8');

            return array_intersect([$name, "compressor $name", "$name compressor"], $first) !== [];
        }));
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $failed = Finding::note('failed', ['what' => $in->text('what'), 'how' => $in->text('how')]);

        return new Judgement([$failed, ...($in->flag('kept') ? [] : [Finding::watch('not_kept')])], basis: [Finding::note('basis')]);
    }
}
