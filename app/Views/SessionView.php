<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Who is signed in, and who could be. */
#[OA\Schema(required: ['person', 'company', 'demo'])]
final readonly class SessionView
{
    /**
     * @param list<DemoPerson> $demo
     */
    public function __construct(
        #[OA\Property(nullable: true, oneOf: [new OA\Schema(ref: PersonView::class)])]
        public ?PersonView $person,
        #[OA\Property()]
        public string $company,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DemoPerson::class))]
        public array $demo,
    ) {
    }
}
