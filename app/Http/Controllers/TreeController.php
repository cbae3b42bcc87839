<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Machine;
use App\Queries\PastReader;
use App\Refusals\Refusal;
use App\Tables\CsvFile;
use App\Tables\CsvOut;
use App\Views\DeviceTableView;
use App\Views\ProblemView;
use App\Views\TreeErrorView;
use App\Views\TreeTableView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use IronStart\Core\Vrf\DeviceTable;
use IronStart\Core\Vrf\Topology;
use IronStart\Core\Vrf\TreeTable;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;
use OpenApi\Attributes as OA;

/** The piping tree of a system as a table: into the bench, and out of the record. Nothing is kept but what is recorded there. */
final class TreeController
{
    /** Lines of which each is told that something is wrong with it. */
    private const TOLD = 40;

    public function __construct(private readonly Phrases $phrases, private readonly Speaker $speaker)
    {
    }

    #[OA\Post(path: '/api/v1/tree', operationId: 'readTree', tags: ['checks'], requestBody: new OA\RequestBody(content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))), responses: [new OA\Response(response: 200, description: 'What is in it, and what is wrong by line', content: new OA\JsonContent(ref: TreeTableView::class)), new OA\Response(response: 413, description: 'Too large', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function read(Request $request): JsonResponse
    {
        $table = TreeTable::read(self::bytes($request));

        return Reply::with(new TreeTableView($table->nodes, $table->pipes, $this->said($table->errors)));
    }

    #[OA\Post(path: '/api/v1/addresses', operationId: 'readAddresses', tags: ['checks'], requestBody: new OA\RequestBody(content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))), responses: [new OA\Response(response: 200, description: 'What is in it, and what is wrong by line', content: new OA\JsonContent(ref: DeviceTableView::class)), new OA\Response(response: 413, description: 'Too large', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function addresses(Request $request): JsonResponse
    {
        $table = DeviceTable::read(self::bytes($request));

        return Reply::with(new DeviceTableView($table->devices, $this->said($table->errors)));
    }

    private static function bytes(Request $request): string
    {
        $bytes = $request->getContent();
        if (strlen($bytes) > CsvFile::BYTES) {
            throw Refusal::tooLarge('A file has at most ' . intdiv(CsvFile::BYTES, 1_048_576) . ' MB.');
        }
        if (! mb_check_encoding($bytes, 'UTF-8') || str_contains($bytes, "\0")) {
            throw Refusal::field('file', '', 'a table in UTF-8');
        }

        return $bytes;
    }

    /**
     * @param list<array{line: int, column: string, error: string, value: string}> $errors
     * @return list<TreeErrorView>
     */
    private function said(array $errors): array
    {
        return array_map(fn (array $error): TreeErrorView => new TreeErrorView(
            $error['line'],
            $error['column'],
            $this->speaker->format($this->phrases->common('tree_table', $error['error']), ['value' => $error['value'], 'column' => $error['column']]),
        ), array_slice($errors, 0, self::TOLD));
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/tree.json', operationId: 'treeData', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The tree as it was drawn last: nodes, pipes and limits as vrf.topology takes them', content: new OA\JsonContent(type: 'object')), new OA\Response(response: 404, description: 'Nobody drew one', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function data(Machine $machine, PastReader $past): JsonResponse
    {
        $tree = Topology::last($past->of($machine)) ?? throw Refusal::notFound();

        return Reply::with(array_intersect_key($tree, ['nodes' => 1, 'pipes' => 1, 'limits' => 1]))->withHeaders(['Content-Disposition' => "attachment; filename=\"tree-$machine->id.json\""]);
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/tree.csv', operationId: 'treeFile', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The tree as it was drawn last, a line each unit, joint and box', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))), new OA\Response(response: 404, description: 'Nobody drew one', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function file(Machine $machine, PastReader $past): Response
    {
        $tree = Topology::last($past->of($machine)) ?? throw Refusal::notFound();
        $list = fn (string $name): array => array_values(array_filter(is_array($tree[$name] ?? null) ? $tree[$name] : [], is_array(...)));
        $rows = TreeTable::rows($list('nodes'), $list('pipes'));
        $to = fopen('php://temp', 'r+') ?: throw new \RuntimeException('No room for a table.');
        CsvOut::write($to, array_shift($rows) ?? [], $rows);
        rewind($to);

        return new Response((string) stream_get_contents($to), 200, ['Content-Type' => 'text/csv; charset=utf-8; header=present', 'Content-Disposition' => "attachment; filename=\"tree-$machine->id.csv\""]);
    }
}
