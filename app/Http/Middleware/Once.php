<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Controllers\Recorded;
use App\Http\DeviceHeaders;
use App\Models\Machine;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\CurrentCompany;
use App\Views\LinkView;
use App\Views\RecordedView;
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
    public function __construct(private readonly ConnectionInterface $db, private readonly CurrentCompany $company, private readonly Recorded $recorded, private readonly Request $request)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->header('Idempotency-Key', '');
        if (! is_string($key) || preg_match('/^[A-Za-z0-9._-]{8,64}$/', $key) !== 1) {
            throw Refusal::field('Idempotency-Key', $key, 'a header of 8 to 64 letters, digits, dots, dashes or underscores, another for each write');
        }
        $row = ['company_id' => $this->company->id(), 'key' => $key];
        $print = self::print($request);
        $this->db->beginTransaction();
        try {
            $fresh = $this->db->table('idempotency_keys')->insertOrIgnore($row + ['print' => $print, 'status' => 0, 'answer' => '{}', 'created_at' => now()]);
            $response = $fresh === 1 ? $next($request) : $this->first($row, $print);
            if ($fresh !== 1 || $response->getStatusCode() >= 400) {
                $this->db->rollBack();

                return $response;
            }
            $this->db->table('idempotency_keys')->where($row)->update(['status' => $response->getStatusCode(), 'answer' => json_encode((object) self::kept($response), JSON_THROW_ON_ERROR)]);
            $this->db->commit();

            return $response;
        } catch (\Throwable $error) {
            if ($this->db->transactionLevel() > 0) {
                $this->db->rollBack();
            }
            throw $error;
        }
    }

    /** The whole request, and whose it is: with the same key nothing else is done, and nobody else is answered. */
    private static function print(Request $request): string
    {
        $person = $request->user();

        return hash('sha256', implode("\n", [
            $person instanceof User ? "$person->id {$person->role->value}" : '', DeviceHeaders::device($request),
            $request->method(), $request->path(), (string) $request->server('QUERY_STRING'), $request->getContent(),
        ]));
    }

    /** @param array<string, mixed> $row */
    private function first(array $row, string $print): Response
    {
        $kept = $this->db->table('idempotency_keys')->where($row)->first();
        $answer = json_decode($kept->answer ?? '', true);
        if ($kept === null || ! is_array($answer) || $kept->print !== $print) {
            throw Refusal::keyUsedOtherwise();
        }

        if (isset($answer['told'])) {
            throw Refusal::conflict('This link was told once already. Make another.');
        }
        $response = isset($answer['at']) ? $this->again($answer['at'], $answer['putBack']) : JsonResponse::fromJsonString($answer['body'], (int) $kept->status);
        $response->headers->set('Idempotent-Replay', 'true');

        return $response;
    }

    /**
     * Of a write on a tape its place is kept: with it goes the machine as it stands when it is asked again.
     *
     * @return array<string, mixed>
     */
    private static function kept(Response $response): array
    {
        $said = $response instanceof JsonResponse ? $response->original : null;

        // A secret is told once and kept nowhere.
        if ($said instanceof LinkView) {
            return ['told' => true];
        }

        return $said instanceof RecordedView ? ['at' => $said->at, 'putBack' => $said->putBack] : ['body' => (string) $response->getContent()];
    }

    private function again(int $at, ?int $putBack): Response
    {
        $machine = $this->request->route('machine');
        $person = $this->request->user();
        if (! $machine instanceof Machine || ! $person instanceof User) {
            throw Refusal::keyUsedOtherwise();
        }

        return $this->recorded->at($machine, $at, $putBack, $person);
    }
}
