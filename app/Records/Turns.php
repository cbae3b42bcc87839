<?php

declare(strict_types=1);

namespace App\Records;

use App\Refusals\Refusal;

/**
 * One at a time, for work that takes much memory: whoever finds somebody else at it is asked to come again, instead of
 * holding a worker while waiting.
 */
final readonly class Turns
{
    private const AGAIN_SECONDS = 2;

    public function __construct(private string $folder)
    {
    }

    /**
     * @template T
     * @param \Closure(): T $do
     * @return T
     * @throws Refusal while somebody else is at it
     */
    public function take(string $what, \Closure $do): mixed
    {
        $file = fopen("$this->folder/$what.turn", 'c');
        if ($file === false || ! flock($file, LOCK_EX | LOCK_NB)) {
            throw Refusal::oneAtATime(self::AGAIN_SECONDS);
        }
        try {
            return $do();
        } finally {
            flock($file, LOCK_UN);
            fclose($file);
        }
    }
}
