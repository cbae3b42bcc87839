<?php

declare(strict_types=1);

namespace App\Support;

/**
 * The line to the controllers of the sites, where one is configured (IRON_START_CONTROLLER, such as "127.0.0.1:4711"):
 * a JSON object a line each way. One that does not answer at once is as good as none.
 */
final readonly class ControllerLine
{
    private const SECONDS = 1.0;
    private const BYTES = 262_144;

    public function __construct(private string $address)
    {
    }

    public function isThere(): bool
    {
        return $this->address !== '';
    }

    /**
     * Asks one thing after the other on one connection.
     *
     * @param array<string, mixed> ...$asked
     * @return list<array<string, mixed>>|null the answers; null where nobody answers
     */
    public function ask(array ...$asked): ?array
    {
        $stream = $this->address === '' ? false : @stream_socket_client("tcp://$this->address", $code, $why, self::SECONDS);
        if ($stream === false) {
            return null;
        }
        stream_set_timeout($stream, (int) self::SECONDS);
        $answers = [];
        foreach ($asked as $one) {
            $line = @fwrite($stream, json_encode($one, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE) . "\n") === false ? false : fgets($stream, self::BYTES);
            $answer = $line === false ? null : json_decode($line, true);
            if (! is_array($answer)) {
                fclose($stream);

                return null;
            }
            $answers[] = $answer;
        }
        fclose($stream);

        return $answers;
    }
}
