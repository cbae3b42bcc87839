<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/** A field whose value can't be taken: where, what it was, what is accepted. Never a verdict. */
final class InputError extends \DomainException
{
    public function __construct(
        /** Dotted path, list items by zero-based index. */
        public readonly string $field,
        public readonly mixed $value,
        public readonly string $accepted,
        string $message,
    ) {
        parent::__construct($message);
    }

    public static function at(string $path, mixed $value, string $accepted, string $why = 'does not work here'): self
    {
        $shown = json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PARTIAL_OUTPUT_ON_ERROR);
        $shown = mb_strimwidth($shown === false ? '' : $shown, 0, 60, '…');

        return new self($path, $value, $accepted, "$path: $shown $why. Enter: $accepted.");
    }

    public static function absent(string $path, string $accepted): self
    {
        return new self($path, null, $accepted, "$path: is required. Enter: $accepted.");
    }

    public static function unknown(string $path, mixed $value, string $accepted): self
    {
        return new self($path, $value, $accepted, "$path: is not used here. Enter: $accepted.");
    }

    /** @return array{field: string, value: mixed, accepted: string, message: string} */
    public function toArray(): array
    {
        return ['field' => $this->field, 'value' => self::encodable($this->value), 'accepted' => $this->accepted, 'message' => $this->getMessage()];
    }

    /** Numbers that JSON has no word for are told as text. */
    private static function encodable(mixed $value): mixed
    {
        return is_float($value) && ! is_finite($value) ? (string) $value : $value;
    }
}
