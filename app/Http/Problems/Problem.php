<?php

declare(strict_types=1);

namespace App\Http\Problems;

use IronStart\Core\Check\InputError;

/** What goes out as a problem document (RFC 9457): what was wrong, where, and what is accepted. */
final class Problem extends \RuntimeException
{
    /** @param array<string, mixed> $members besides type, title, status and detail */
    private function __construct(
        public readonly int $status,
        public readonly string $kind,
        public readonly string $title,
        string $detail,
        public readonly array $members = [],
    ) {
        parent::__construct($detail);
    }

    public static function badInput(InputError $error): self
    {
        $told = $error->toArray();

        return new self(422, 'bad-input', 'This value can\'t be taken', $told['message'], [
            'field' => $told['field'], 'value' => $told['value'], 'accepted' => $told['accepted'],
        ]);
    }

    public static function field(string $field, mixed $value, string $accepted): self
    {
        return self::badInput(InputError::at($field, $value, $accepted));
    }

    public static function notFound(): self
    {
        return new self(404, 'not-found', 'Nothing is here', 'There is nothing at this address.');
    }

    public static function notSignedIn(): self
    {
        return new self(401, 'not-signed-in', 'Nobody is signed in', 'Sign in, then try again. What was typed is kept.');
    }

    public static function wrongSignIn(): self
    {
        return new self(422, 'wrong-sign-in', 'That does not match', 'Name and password do not belong together.');
    }

    public static function tooOften(int $seconds): self
    {
        return new self(429, 'too-often', 'Too many tries', "Wait $seconds seconds, then try again.", ['wait' => $seconds]);
    }

    public static function staleSession(): self
    {
        return new self(419, 'stale-session', 'The session has ended', 'Reload and sign in again. What was typed is kept.');
    }

    public static function notYours(): self
    {
        return new self(403, 'not-yours', 'Your role may not do this', 'Ask the starter or the lead on this job.');
    }

    /** @param list<string> $reasons */
    public static function shut(string $detail, array $reasons): self
    {
        return new self(409, 'gate-shut', 'Run is shut', $detail, ['reasons' => $reasons]);
    }

    /** @param array<string, mixed> $sides what the other wrote (theirs), and what this would have been (yours) */
    public static function already(string $detail, array $sides = []): self
    {
        return new self(409, 'already-done', 'Somebody was first', $detail, $sides);
    }

    public static function tooLarge(string $detail): self
    {
        return new self(413, 'too-large', 'This is too large', $detail);
    }

    public static function noRoom(): self
    {
        return new self(507, 'no-room', 'The picture could not be kept', 'There is no room left for pictures. The reading itself is kept; send the picture again later.');
    }

    public static function linkGone(): self
    {
        return new self(410, 'link-gone', 'This link opens nothing any more', 'It was used, has ended, was withdrawn, or was never one. Ask whoever gave it to you for another.');
    }

    /** @param list<string> $reasons by line */
    public static function rows(int $wrong, array $reasons): self
    {
        return new self(422, 'rows-wrong', 'Nothing was brought in', $wrong === 1 ? 'One row is wrong.' : "$wrong rows are wrong.", ['reasons' => $reasons]);
    }

    public static function keyUsedOtherwise(): self
    {
        return new self(422, 'key-used', 'This key was used before', 'The same Idempotency-Key came with another request.');
    }

    public static function broken(): self
    {
        return new self(500, 'broken', 'Something broke on our side', 'It was written down. What was typed is kept; try again in a moment.');
    }

    public static function away(): self
    {
        return new self(503, 'away', 'The records can\'t be reached', 'The database is not answering. What was typed is kept; try again in a moment.');
    }

    public static function other(int $status, string $detail): self
    {
        return new self($status, 'refused', 'This can\'t be done', $detail);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['type' => "/problems/$this->kind", 'title' => $this->title, 'status' => $this->status, 'detail' => $this->getMessage()] + $this->members;
    }
}
