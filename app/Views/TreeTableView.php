<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A piping tree as it was read from a table. */
#[OA\Schema(required: ['nodes', 'pipes', 'errors'])]
final readonly class TreeTableView
{
    /**
     * @param list<array<string, mixed>> $nodes
     * @param list<array<string, mixed>> $pipes
     * @param list<TreeErrorView>        $errors
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $nodes,
        #[OA\Property(items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $pipes,
        #[OA\Property(items: new OA\Items(ref: TreeErrorView::class))]
        public array $errors,
    ) {
    }
}
