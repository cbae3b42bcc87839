<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems\Problem;
use App\Support\CurrentCompany;
use App\Support\DeviceHeaders;
use Closure;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A write that comes twice is done once: the second gets the first one's answer.
 *
 * The key is kept in the same transaction as what was written. Of two that arrive at the same moment the
 * second waits at the key's row until the first is through.
 */
final class Once
{
    public function __construct(private readonly ConnectionInterface $db, private readonly CurrentCompany $company)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->header('Idempotency-Key', '');
        if (! is_string($key) || preg_match('/^[A-Za-z0-9._-]{8,64}$/', $key) !== 1) {
            throw Problem::field('Idempotency-Key', $key, 'a header of 8 to 64 letters, digits, dots, dashes or underscores, another for each write');
        }
        $row = ['company_id' => $this->company->id(), 'device_id' => DeviceHeaders::device($request), 'key' => $key];
        $print = hash('sha256', $request->method() . ' ' . $request->path() . "\n" . $request->getContent());
        $this->db->beginTransaction();
        try {
            $fresh = $this->db->table('idempotency_keys')->insertOrIgnore($row + ['status' => 0, 'answer' => '{}', 'created_at' => now()]);
            $response = $fresh === 1 ? $next($request) : $this->first($row, $print);
            if ($fresh !== 1 || $response->getStatusCode() >= 400) {
                $this->db->rollBack();

                return $response;
            }
            $kept = ['print' => $print, 'body' => (string) $response->getContent()];
            $this->db->table('idempotency_keys')->where($row)->update(['status' => $response->getStatusCode(), 'answer' => json_encode($kept, JSON_THROW_ON_ERROR)]);
            $this->db->commit();

            return $response;
        } catch (\Throwable $error) {
            if ($this->db->transactionLevel() > 0) {
                $this->db->rollBack();
            }
            throw $error;
        }
    }

    /** @param array<string, mixed> $row */
    private function first(array $row, string $print): Response
    {
        $kept = $this->db->table('idempotency_keys')->where($row)->first();
        $answer = json_decode($kept->answer ?? '', true);
        if ($kept === null || ! is_array($answer) || ($answer['print'] ?? '') !== $print) {
            throw Problem::keyUsedOtherwise();
        }

        return JsonResponse::fromJsonString($answer['body'], (int) $kept->status, ['Idempotent-Replay' => 'true']);
    }
}
