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
        $this->prepare($method, $path, $body, $key, $minimal);
        $answer = curl_exec($this->curl);

        return $this->read(is_string($answer) ? $answer : '');
    }

    /** A body that is no JSON, such as a picture. */
    public function send(string $path, string $bytes, string $type, string $key): int
    {
        $this->prepare('POST', $path, [], $key);
        curl_setopt($this->curl, CURLOPT_POSTFIELDS, $bytes);
        curl_setopt($this->curl, CURLOPT_HTTPHEADER, ['Accept: application/json', "Content-Type: $type", "X-XSRF-TOKEN: $this->token", "X-Device: $this->device", "X-Person: $this->person", "Idempotency-Key: $key"]);

        return $this->read((string) curl_exec($this->curl))[0];
    }

    /**
     * A request as it is given, whatever is in it: its body as bytes, its headers over those that would go along.
     *
     * @param array<string, string> $headers
     * @return array{int, mixed} status (0 when nothing came back) and what was said
     */
    public function raw(string $method, string $path, string $body, array $headers): array
    {
        $this->prepare($method, $path, null, '');
        $sent = array_change_key_case($headers) + ['accept' => 'application/json', 'content-type' => 'application/json', 'x-xsrf-token' => $this->token, 'x-device' => $this->device, 'x-person' => $this->person, 'expect' => ''];
        curl_setopt($this->curl, CURLOPT_POSTFIELDS, $body);
        curl_setopt($this->curl, CURLOPT_HTTPHEADER, array_map(fn (string $name, string $value): string => "$name: $value", array_keys($sent), $sent));
        $answer = curl_exec($this->curl);

        return $this->read(is_string($answer) ? $answer : '');
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
            $client->prepare('POST', $path, $body, uniqid('together-'));
            curl_multi_add_handle($multi, $client->curl);
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 1.0);
        } while ($running > 0);

        return array_map(fn (self $client): array => $client->read((string) curl_multi_getcontent($client->curl)), [$one, $other]);
    }

    /** @param array<string, mixed>|null $body */
    private function prepare(string $method, string $path, ?array $body, string $key, bool $minimal = false): void
    {
        $now = (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->format('Y-m-d\TH:i:s.v\Z');
        curl_setopt_array($this->curl, [
            CURLOPT_URL => "$this->base/api/v1/$path",
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_POSTFIELDS => $body === null ? '' : json_encode((object) $body, JSON_THROW_ON_ERROR),
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: $this->token", "X-Device: $this->device", "X-Person: $this->person", "X-Device-Time: $now", "X-Device-Sent: $now", ...($key === '' ? [] : ["Idempotency-Key: $key"]), ...($minimal ? ['Prefer: return=minimal'] : [])],
        ]);
    }

    /** @return array{int, mixed} */
    private function read(string $answer): array
    {
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", $cookie);
            $this->token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $this->token;
        }

        return [(int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE), json_decode($answer, true)];
    }
}
