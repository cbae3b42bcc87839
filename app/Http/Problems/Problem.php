<?php

declare(strict_types=1);

namespace App\Http\Problems;

use App\Refusals\Reason;
use App\Refusals\Refusal;

/** A refusal as it goes out: a problem document (RFC 9457). */
final readonly class Problem
{
    /** @param array<string, mixed> $members besides type, title, status and detail */
    private function __construct(public int $status, private string $kind, private string $title, private string $detail, private array $members)
    {
    }

    public static function of(Refusal $refusal): self
    {
        [$status, $title] = match ($refusal->reason) {
            Reason::BadInput => [422, 'That value doesn\'t work here'],
            Reason::NotFound => [404, 'Not found'],
            Reason::NotSignedIn => [401, 'Nobody is signed in'],
            Reason::WrongSignIn => [422, 'Wrong email or password'],
            Reason::TooOften => [429, 'Too many tries'],
            Reason::StaleSession => [419, 'The session has ended'],
            Reason::NotYours => [403, 'Your role can\'t do this'],
            Reason::OtherPerson => [409, 'Somebody else is signed in'],
            Reason::NotReady => [409, 'Not ready to start'],
            Reason::AlreadyDone => [409, 'Somebody beat you to it'],
            Reason::TooLarge => [413, 'This is too large'],
            Reason::NoRoom => [507, 'The photo could not be saved'],
            Reason::LinkGone => [410, 'This link no longer works'],
            Reason::RowsWrong => [422, 'Nothing was imported'],
            Reason::KeyUsed => [422, 'This key was used before'],
            Reason::Broken => [500, 'Something broke on our side'],
            Reason::Away => [503, 'The records can\'t be reached'],
            Reason::Refused => [409, 'This can\'t be done'],
        };

        return new self($status, $refusal->reason->value, $title, $refusal->getMessage(), $refusal->members);
    }

    /** What the framework itself refuses. */
    public static function other(int $status, string $detail): self
    {
        return new self($status, Reason::Refused->value, 'This can\'t be done', $detail, []);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['type' => "/problems/$this->kind", 'title' => $this->title, 'status' => $this->status, 'detail' => $this->detail] + $this->members;
    }
}
