<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Addresses as they were read from a table. */
#[OA\Schema(required: ['devices', 'errors'])]
final readonly class DeviceTableView
{
    /**
     * @param list<array<string, mixed>> $devices
     * @param list<TreeErrorView>        $errors
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $devices,
        #[OA\Property(items: new OA\Items(ref: TreeErrorView::class))]
        public array $errors,
    ) {
    }
}
