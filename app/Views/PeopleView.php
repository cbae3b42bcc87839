<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Everybody of the company. */
#[OA\Schema(required: ['people', 'invited', 'signIns'])]
final readonly class PeopleView
{
    /**
     * @param list<MemberView> $people
     * @param list<InvitedView> $invited
     * @param list<SignInView> $signIns
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: MemberView::class))]
        public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: InvitedView::class))]
        public array $invited,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SignInView::class))]
        public array $signIns,
    ) {
    }
}
