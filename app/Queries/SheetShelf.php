<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\Sheet;
use App\Models\SheetVersion;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Moment;
use App\Views\SheetRowView;
use App\Views\SheetVersionView;
use App\Views\SheetView;
use Illuminate\Database\ConnectionInterface;

/** The shelf of equipment sheets, with all versions of each. */
final class SheetShelf
{
    private const MOST = 500;

    public function __construct(private readonly ConnectionInterface $db, private readonly CurrentCompany $company)
    {
    }

    /** @return list<SheetRowView> by model */
    public function all(): array
    {
        $rows = $this->db->table('sheets')->where('sheets.company_id', $this->company->id())
            ->join('sheet_versions as v', fn ($join) => $join->on('v.company_id', '=', 'sheets.company_id')->on('v.sheet_id', '=', 'sheets.id'))
            ->groupBy('sheets.id', 'model', 'maker', 'kind')->orderBy('model')->limit(self::MOST)
            ->get(['sheets.id', 'model', 'maker', 'kind', $this->db->raw('max(v.version) AS version'), $this->db->raw('max(v.id) AS last'), $this->db->raw('max(v.created_at) AS at')]);

        return array_values($rows->map(fn (\stdClass $r): SheetRowView => new SheetRowView($r->id, $r->model, $r->maker, $r->kind, $r->version, $r->last, Moment::iso($r->at)))->all());
    }

    public function one(Sheet $sheet): SheetView
    {
        $versions = SheetVersion::query()->where('sheet_id', $sheet->id)->orderByDesc('version')->get();
        $machines = Machine::query()->whereIn('sheet_version_id', $versions->pluck('id')->all())->toBase()->selectRaw('sheet_version_id, count(*) AS n')->groupBy('sheet_version_id')->pluck('n', 'sheet_version_id');
        $people = User::query()->where('company_id', $this->company->id())->whereIn('id', $versions->pluck('user_id')->filter()->all())->pluck('name', 'id');

        return new SheetView($sheet->id, $sheet->model, $sheet->maker, $sheet->kind, array_values($versions->map(fn (SheetVersion $v): SheetVersionView => new SheetVersionView($v->id, $v->version, Moment::iso((string) $v->getRawOriginal('created_at')), (string) ($people[$v->user_id] ?? ''), (int) ($machines[$v->id] ?? 0), (object) $v->body))->all()));
    }
}
