<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something that must be undone before leaving. */
#[OA\Schema(required: ['id', 'machineId', 'machine', 'kind', 'what', 'who', 'whoId', 'since', 'limitMinutes', 'shuts', 'closed', 'word', 'left', 'owner', 'due'])]
final readonly class PutBackView
{
    /**
     * @param list<int> $shuts
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public int $machineId,
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public string $what,
        #[OA\Property()]
        public string $who,
        #[OA\Property()]
        public int $whoId,
        #[OA\Property()]
        public string $since,
        #[OA\Property()]
        public ?int $limitMinutes,
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $shuts,
        #[OA\Property()]
        public bool $closed,
        #[OA\Property()]
        public string $word,
        /** Why it stays out; empty where it is to be put back. */
        #[OA\Property()]
        public string $left,
        #[OA\Property()]
        public string $owner,
        /** YYYY-MM-DD, or empty. */
        #[OA\Property()]
        public string $due,
    ) {
    }
}
