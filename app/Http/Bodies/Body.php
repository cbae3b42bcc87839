<?php

declare(strict_types=1);

namespace App\Http\Bodies;

use App\Refusals\Refusal;
use Illuminate\Http\Request;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\InputReader;

/** The JSON body of a write, read by its fields: what is wrong is told as it is told of a reading. */
final readonly class Body
{
    /** Writes that ask for nothing may come without a body. */
    private const MAY_BE_EMPTY = ['start'];

    private function __construct(private Input $input, private \stdClass $raw)
    {
    }

    /** @throws Refusal naming the first member that is wrong */
    public static function of(Request $request, string $operation): self
    {
        $content = $request->getContent();
        $raw = in_array($content, ['', '[]'], true) && in_array($operation, self::MAY_BE_EMPTY, true) ? new \stdClass() : json_decode($content);
        if (! $raw instanceof \stdClass) {
            throw Refusal::field('', null, 'one JSON object');
        }
        try {
            return new self((new InputReader(Bodies::of($operation)))->read($raw, fn (): array => []), $raw);
        } catch (InputError $error) {
            throw Refusal::badInput($error);
        }
    }

    /** '' where nothing was given. */
    public function text(string $name): string
    {
        return $this->input->text($name);
    }

    public function whole(string $name): ?int
    {
        return $this->input->given($name) ? $this->input->int($name) : null;
    }

    public function number(string $name): ?float
    {
        return $this->input->maybe($name);
    }

    public function flag(string $name): bool
    {
        return $this->input->flag($name);
    }

    public function has(string $name): bool
    {
        return $this->input->given($name);
    }

    /** @return list<string>|null null where nothing was given */
    public function words(string $name): ?array
    {
        // An empty list is said, and not the same as none.
        return $this->input->given($name) ? $this->input->words($name) : (is_array($this->raw->{$name} ?? null) ? [] : null);
    }

    /** A member as it came, for whom it is meant. */
    public function raw(string $name): mixed
    {
        return $this->raw->{$name} ?? null;
    }

    /** @return list<\stdClass> the objects of a list, checked by their fields */
    public function each(string $name): array
    {
        return array_values(array_filter((array) ($this->raw->{$name} ?? []), fn (mixed $one): bool => $one instanceof \stdClass));
    }
}
