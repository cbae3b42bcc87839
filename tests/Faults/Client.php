<?php

declare(strict_types=1);

namespace Tests\Faults;

/** A person with a device, speaking HTTP to a running instance. */
final class Client
{
    private readonly \CurlHandle $curl;

    private string $token = '';

    private string $person = '';

    public function __construct(private readonly string $base, private readonly string $device, string $name)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_TIMEOUT => 20]);
        $this->call('GET', 'session');
        [$status, $session] = $this->call('POST', 'session/demo', ['name' => $name]);
        $this->person = (string) ($session['person']['id'] ?? '');
        if ($status !== 200) {
            throw new \RuntimeException("$name could not sign in: $status");
        }
    }

    /**
     * @param array<string, mixed>|null $body
     * @return array{int, mixed} status (0 when nothing came back) and what was said
     */
    public function call(string $method, string $path, ?array $body = null, string $key = '', bool $minimal = false): array
    {
        $this->begin($method, $path, $body, $key, $minimal);

        return $this->end(curl_exec($this->curl));
    }

    /** A body that is no JSON, such as a picture. */
    public function send(string $path, string $bytes, string $type, string $key): int
    {
        return $this->raw('POST', $path, $bytes, ['content-type' => $type, 'idempotency-key' => $key])[0];
    }

    /**
     * A request as it is given, whatever is in it: its body as bytes, its headers over those that go along.
     *
     * @param array<string, string> $headers
     * @return array{int, mixed} status (0 when nothing came back) and what was said
     */
    public function raw(string $method, string $path, string $body, array $headers): array
    {
        $this->prepare($method, $path, $body, $headers);

        return $this->end(curl_exec($this->curl));
    }

    /**
     * Two requests that leave at the same moment.
     *
     * @param array<string, mixed> $body
     * @return list<array{int, mixed}>
     */
    public static function together(self $one, self $other, string $path, array $body): array
    {
        $multi = curl_multi_init();
        foreach ([$one, $other] as $client) {
            curl_multi_add_handle($multi, $client->begin('POST', $path, $body, uniqid('together-')));
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 1.0);
        } while ($running > 0);

        return array_map(fn (self $client): array => $client->end(curl_multi_getcontent($client->curl)), [$one, $other]);
    }

    /**
     * Makes a request ready, for whoever lets many leave at once; `end` reads what came back.
     *
     * @param array<string, mixed>|null $body
     */
    public function begin(string $method, string $path, ?array $body = null, string $key = '', bool $minimal = false): \CurlHandle
    {
        $now = (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->format('Y-m-d\TH:i:s.v\Z');
        $this->prepare($method, $path, $body === null ? '' : json_encode((object) $body, JSON_THROW_ON_ERROR), ['x-device-time' => $now, 'x-device-sent' => $now] + ($key === '' ? [] : ['idempotency-key' => $key]) + ($minimal ? ['prefer' => 'return=minimal'] : []));

        return $this->curl;
    }

    /**
     * @param string|bool|null $answer as curl gives it
     * @return array{int, mixed} status (0 when nothing came back) and what was said
     */
    public function end(string|bool|null $answer): array
    {
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", $cookie);
            $this->token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $this->token;
        }

        return [(int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE), json_decode(is_string($answer) ? $answer : '', true)];
    }

    /** @param array<string, string> $headers over those that go along */
    private function prepare(string $method, string $path, string $body, array $headers): void
    {
        $sent = array_change_key_case($headers) + ['accept' => 'application/json', 'content-type' => 'application/json', 'x-xsrf-token' => $this->token, 'x-device' => $this->device, 'x-person' => $this->person, 'expect' => ''];
        curl_setopt_array($this->curl, [
            CURLOPT_URL => "$this->base/api/v1/$path",
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_POSTFIELDS => $body,
            CURLOPT_HTTPHEADER => array_map(fn (string $name, string $value): string => "$name: $value", array_keys($sent), $sent),
        ]);
    }
}
