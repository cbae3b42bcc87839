<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Chain;

use IronStart\Core\Chain\Chain;
use IronStart\Core\Chain\RecordProof;
use IronStart\Core\Chain\Seal;
use PHPUnit\Framework\TestCase;

/** A record as a file says whether it is as it was written. */
final class RecordProofTest extends TestCase
{
    private const ID = '0e6f3a52-4c5e-4d0e-9a64-2f6f0c1d7a11';
    private const END = 'The digest of the whole is not that of its last entry: entries are missing at the end.';

    private Seal $seal;

    protected function setUp(): void
    {
        $this->seal = new Seal(sodium_crypto_sign_secretkey(sodium_crypto_sign_seed_keypair(str_repeat('k', SODIUM_CRYPTO_SIGN_SEEDBYTES))));
    }

    public function testARecordAsItWasWrittenHolds(): void
    {
        $proof = RecordProof::of($this->record());
        self::assertTrue($proof->holds());
        self::assertSame([[], null, 3, 1, 'Brass'], [$proof->faults, $proof->broken, $proof->entries, $proof->addendum, $proof->company]);
        self::assertSame([['at' => 2, 'role' => 'starter', 'name' => 'Rafe']], $proof->signatures);
    }

    public function testARecordWithoutEntriesHolds(): void
    {
        $empty = $this->sealed($this->file([], Chain::start(self::ID)));
        self::assertSame([[], 0, 0], [RecordProof::of($empty)->faults, RecordProof::of($empty)->entries, RecordProof::of($empty)->addendum]);
    }

    public function testAChangedEntryIsNamedAndNothingAfterItIsSaidOfTheEnd(): void
    {
        $record = $this->record();
        $record->chain[0]->entry->text = 'other';
        $proof = RecordProof::of($record);
        self::assertSame(['Entry 1 is not as it was written, or an entry before it is missing.', 'The company\'s signature at entry 2 does not hold.', 'The seal does not hold.'], $proof->faults);
        self::assertSame([1, [], false], [$proof->broken, $proof->signatures, $proof->holds()]);
    }

    public function testASignatureOfAChangedEntryDoesNotHoldThoughItsDigestIsSigned(): void
    {
        $record = $this->record();
        $record->chain[1]->entry->details->name = 'Somebody';
        $proof = RecordProof::of($this->sealed($record));
        self::assertSame(['Entry 2 is not as it was written, or an entry before it is missing.', 'The company\'s signature at entry 2 does not hold.'], $proof->faults);
        self::assertSame([], $proof->signatures);
    }

    public function testEntriesMissingAtTheEndAreTold(): void
    {
        $record = $this->record();
        array_pop($record->chain);
        self::assertSame([self::END], array_slice(RecordProof::of($this->sealed($record))->faults, 0));
        // Where an entry is broken, the end is not spoken of.
        $record->chain[0]->entry->text = 'other';
        self::assertNotContains(self::END, RecordProof::of($record)->faults);
    }

    public function testWhatTheServerFoundIsAFaultOfTheFile(): void
    {
        $record = $this->record();
        $record->differs = ['Entry 2 is not as it was written.'];
        self::assertSame(['Entry 2 is not as it was written.'], RecordProof::of($this->sealed($record))->faults);
    }

    public function testASignatureThatIsNotThereOrOfAnotherDoesNotHold(): void
    {
        foreach ([null, $this->seal->sign('other')] as $signature) {
            $record = $this->record();
            $record->chain[1]->signature = $signature ?? '';
            $proof = RecordProof::of($this->sealed($record));
            self::assertSame(["The company's signature at entry 2 does not hold."], $proof->faults);
            self::assertSame([[], 0], [$proof->signatures, $proof->addendum]);
        }
    }

    public function testAnythingElseIsUnderTheSeal(): void
    {
        $record = $this->record();
        $record->company->name = 'Brass & Co';
        self::assertSame(['Something outside the entries was changed, or another key sealed this file: the seal does not hold.'], RecordProof::of($record)->faults);
        $record->company->name = "\xff";
        self::assertSame('', RecordProof::sealed($record), 'what has no canonical form is sealed by nobody');
    }

    public function testADigestFromPaperIsOneOfThese(): void
    {
        $record = $this->record();
        foreach ([$record->chain[0]->digest, strtoupper($record->digest)] as $printed) {
            self::assertTrue(RecordProof::of($record, $printed)->holds());
        }
        self::assertSame(['The digest given is none of this record\'s.'], RecordProof::of($record, str_repeat('0', 64))->faults);
    }

    private function record(): \stdClass
    {
        $links = [];
        $digest = Chain::start(self::ID);
        foreach ([['at' => 1, 'kind' => 'note', 'text' => 'first'], ['at' => 2, 'kind' => 'signed', 'details' => (object) ['role' => 'starter', 'name' => 'Rafe']], ['at' => 3, 'kind' => 'note', 'text' => 'after']] as $entry) {
            $digest = Chain::next($digest, (object) $entry);
            $links[] = (object) (['entry' => (object) $entry, 'digest' => $digest] + ($entry['kind'] === 'signed' ? ['signature' => $this->seal->sign($digest)] : []));
        }

        return $this->sealed($this->file($links, $digest));
    }

    /** @param list<\stdClass> $links */
    private function file(array $links, string $digest): \stdClass
    {
        return (object) ['record_id' => self::ID, 'company' => (object) ['name' => 'Brass', 'public_key' => $this->seal->publicKey()], 'chain' => $links, 'digest' => $digest];
    }

    private function sealed(\stdClass $record): \stdClass
    {
        $record->seal = $this->seal->sign(RecordProof::sealed($record));

        return $record;
    }
}
