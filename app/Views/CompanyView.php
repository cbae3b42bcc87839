<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The company, and the fingerprint of the key it vouches for its records with. */
#[OA\Schema(required: ['name', 'units', 'timeZone', 'facts', 'version', 'fingerprint'])]
final readonly class CompanyView
{
    /**
     * @param list<string> $facts
     */
    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $units,
        #[OA\Property()]
        public string $timeZone,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $facts,
        #[OA\Property()]
        public int $version,
        #[OA\Property()]
        public string $fingerprint,
    ) {
    }
}
