<?php

declare(strict_types=1);

namespace IronStart\Core\Chain;

/**
 * Finds a member that stands twice in one object of a JSON text. Readers differ in which of the two they take, so that
 * such a text may say one thing to whoever proves it and another to whoever reads it. Source: RFC 8259, section 4;
 * RFC 8785, section 3.1, allows none.
 */
final class OneOfEach
{
    private const TOKEN = '/\G\s*("(?:[^"\\\\]|\\\\.)*+"|[{}\[\],:]|[^\s{}\[\],:"]+)/s';

    /**
     * The name of the first member that its object has already; null where there is none.
     *
     * @param string $json a text that json_decode takes
     */
    public static function twice(string $json): ?string
    {
        /** @var list<array<string, true>|null> $open members by name of the objects one is in; null for a list */
        $open = [];
        $name = null;
        for ($at = 0; preg_match(self::TOKEN, $json, $found, 0, $at) === 1; $at += strlen($found[0])) {
            $token = $found[1];
            $inside = count($open) - 1;
            if ($token === '{' || $token === '[') {
                $open[] = $token === '{' ? [] : null;
            } elseif ($token === '}' || $token === ']') {
                array_pop($open);
            } elseif ($token === ':' && $name !== null) {
                if (isset($open[$inside][$name])) {
                    return $name;
                }
                $open[$inside][$name] = true;
            }
            $name = $token[0] === '"' ? (string) json_decode($token) : null;
        }

        return null;
    }
}
