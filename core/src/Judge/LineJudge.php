<?php

declare(strict_types=1);

namespace IronStart\Core\Judge;

use IronStart\Core\Check\InputError;

/**
 * The envelope of one line: `{"id":…,"check":…,"units":…,"input":{…}}` in, a verdict or an error out.
 */
final class LineJudge
{
    private const MEMBERS = ['id', 'check', 'units', 'input'];
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION
        | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR;

    public function __construct(private readonly Judge $judge)
    {
    }

    /** One line in, one line out (without its line end). */
    public function answer(string $line): string
    {
        $raw = json_decode($line);
        $answer = $raw instanceof \stdClass
            ? $this->judge($raw)
            : ['error' => InputError::at('', $line, 'one JSON object on a line', 'is no JSON object')->toArray()];

        return (string) json_encode($answer, self::FLAGS);
    }

    /** @return array<string, mixed> */
    private function judge(\stdClass $line): array
    {
        $echo = [];
        if (property_exists($line, 'id')) {
            $echo['id'] = $line->id;
        }
        if (is_string($line->check ?? null)) {
            $echo['check'] = $line->check;
        }
        try {
            [$check, $units] = $this->envelope($line);

            return $echo + $this->judge->judge($check, $line->input ?? new \stdClass(), $units)->toArray();
        } catch (InputError $error) {
            return $echo + ['error' => $error->toArray()];
        }
    }

    /**
     * @return array{0: string, 1: 'us'|'si'}
     * @throws InputError
     */
    private function envelope(\stdClass $line): array
    {
        $checks = implode(', ', $this->judge->registry->ids());
        $check = $line->check ?? null;
        if (! is_string($check) || ! in_array($check, $this->judge->registry->ids(), true)) {
            throw $check === null ? InputError::absent('check', $checks) : InputError::at('check', $check, $checks);
        }
        $units = $line->units ?? 'us';
        if ($units !== 'us' && $units !== 'si') {
            throw InputError::at('units', $units, 'us, si');
        }
        if (isset($line->input) && ! $line->input instanceof \stdClass) {
            throw InputError::at('input', $line->input, 'an object');
        }
        foreach (get_object_vars($line) as $name => $value) {
            if (! in_array((string) $name, self::MEMBERS, true)) {
                throw InputError::unknown((string) $name, $value, implode(', ', self::MEMBERS));
            }
        }

        return [$check, $units];
    }
}
