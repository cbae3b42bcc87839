<?php

declare(strict_types=1);

namespace App\Refusals;

use IronStart\Core\Check\InputError;

/** What was not done and why: where it was wrong, what is accepted, what somebody else did first. */
final class Refusal extends \RuntimeException
{
    /** @param array<string, mixed> $members what belongs to it besides: a field, reasons, both sides */
    private function __construct(
        public readonly Reason $reason,
        string $detail,
        public readonly array $members = [],
    ) {
        parent::__construct($detail);
    }

    public static function badInput(InputError $error): self
    {
        $told = $error->toArray();

        return new self(Reason::BadInput, $told['message'], ['field' => $told['field'], 'value' => $told['value'], 'accepted' => $told['accepted']]);
    }

    public static function field(string $field, mixed $value, string $accepted): self
    {
        return self::badInput(InputError::at($field, $value, $accepted));
    }

    public static function notFound(): self
    {
        return new self(Reason::NotFound, 'Nothing at this address.');
    }

    public static function notSignedIn(): self
    {
        return new self(Reason::NotSignedIn, 'Sign in, then try again. What was typed is kept.');
    }

    public static function wrongSignIn(): self
    {
        return new self(Reason::WrongSignIn, 'Check both and try again.');
    }

    public static function tooOften(int $seconds): self
    {
        return new self(Reason::TooOften, "Wait $seconds seconds, then try again.", ['wait' => $seconds]);
    }

    public static function oneAtATime(int $seconds): self
    {
        return new self(Reason::TooOften, 'Photos are taken in one at a time. This one waits and is sent again by itself.', ['wait' => $seconds]);
    }

    public static function staleSession(): self
    {
        return new self(Reason::StaleSession, 'Reload and sign in again. What was typed is kept.');
    }

    public static function foreignPage(): self
    {
        return new self(Reason::StaleSession, 'This came from a page of another address. Open ours and sign in there.');
    }

    public static function notYours(): self
    {
        return new self(Reason::NotYours, 'Ask the start-up tech or the lead on this job.');
    }

    public static function onlyALead(): self
    {
        return new self(Reason::NotYours, 'Only a lead makes somebody a lead, changes a lead\'s role, deactivates a lead or gives a lead a new password.');
    }

    /** @param string $writer '' when it is nobody of this company */
    public static function ofSomebodyElse(string $writer, string $signedIn): self
    {
        $written = $writer === '' ? 'somebody else' : $writer;

        return new self(Reason::OtherPerson, "$signedIn is signed in here now; this was written by $written. Nothing was recorded.", ['whose' => ['writer' => $writer, 'signedIn' => $signedIn]]);
    }

    /** @param list<string> $reasons why it may not be started, one sentence each */
    public static function notReady(array $reasons): self
    {
        return new self(Reason::NotReady, $reasons[0] ?? '', ['reasons' => $reasons]);
    }

    /** @param list<string> $reasons what is still to be done before it may be signed */
    public static function notDone(string $detail, array $reasons): self
    {
        return new self(Reason::NotReady, $detail, ['reasons' => $reasons]);
    }

    /** @param array<string, mixed> $sides what the other wrote (theirs), and what this would have been (yours) */
    public static function already(string $detail, array $sides = []): self
    {
        return new self(Reason::AlreadyDone, $detail, $sides);
    }

    /** What was given can't be, said in a sentence that needs no more. */
    public static function told(string $field, string $sentence): self
    {
        return new self(Reason::BadInput, $sentence, ['field' => $field]);
    }

    public static function tooLarge(string $detail): self
    {
        return new self(Reason::TooLarge, $detail);
    }

    public static function noRoom(): self
    {
        return new self(Reason::NoRoom, 'There is no room left for photos. The reading itself is kept; send the photo again later.');
    }

    public static function linkGone(): self
    {
        return new self(Reason::LinkGone, 'It was used, has ended, was revoked, or was never one. Ask whoever gave it to you for another.');
    }

    /** @param list<string> $reasons by line */
    public static function rows(int $wrong, array $reasons): self
    {
        return new self(Reason::RowsWrong, $wrong === 1 ? 'One row is wrong.' : "$wrong rows are wrong.", ['reasons' => $reasons]);
    }

    public static function keyUsedOtherwise(): self
    {
        return new self(Reason::KeyUsed, 'The same Idempotency-Key came with another request.');
    }

    public static function broken(): self
    {
        return new self(Reason::Broken, 'It was written down. What was typed is kept; try again in a moment.');
    }

    public static function away(): self
    {
        return new self(Reason::Away, 'The database is not answering. What was typed is kept; try again in a moment.');
    }

    public static function conflict(string $detail): self
    {
        return new self(Reason::Refused, $detail);
    }
}
