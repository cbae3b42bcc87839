<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Why the valves of a circuit may not be opened yet. */
#[OA\Schema(required: ['circuit', 'reasons', 'weighed'])]
final readonly class OpeningView
{
    /**
     * @param list<string> $reasons whatever is let in
     * @param list<string> $weighed besides, where the charge is weighed in
     */
    public function __construct(
        #[OA\Property()]
        public string $circuit,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $reasons,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $weighed,
    ) {
    }
}
