<?php

declare(strict_types=1);

namespace App\Support;

/**
 * The company whose data this request or command may touch. Nothing is found while none is set.
 */
final class CurrentCompany
{
    private ?int $id = null;

    public function set(?int $id): void
    {
        $this->id = $id;
    }

    /** @throws \LogicException when no company is set: a query was made before anybody signed in */
    public function id(): int
    {
        return $this->id ?? throw new \LogicException('No company is set: sign in first, or say whose data this is about.');
    }

    /**
     * @template T
     * @param \Closure(): T $do
     * @return T
     */
    public function as(int $id, \Closure $do): mixed
    {
        $before = $this->id;
        $this->id = $id;
        try {
            return $do();
        } finally {
            $this->id = $before;
        }
    }
}
