<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Records\TreeDrawing;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;

/** A piping tree in as a table, with what is wrong by line, and out of the record the same way. */
final class TreeTest extends FeatureTestCase
{
    private const TABLE = "name,kind,from,length (m),rise (m),capacity (kW),room\nO,outdoor,,,,10,\nI1,indoor,O,9,-3,2,Office\n";

    public function testATableIsLookedAtAndNothingOfItIsKept(): void
    {
        $starter = $this->person(Role::Starter);
        $read = $this->table($starter, self::TABLE)->assertOk();
        self::assertSame([], $read->json('errors'));
        self::assertSame([['id' => 'O', 'kind' => 'outdoor', 'capacity' => '10 kW'], ['id' => 'I1', 'kind' => 'indoor', 'capacity' => '2 kW', 'room' => 'Office']], $read->json('nodes'));
        self::assertSame([['from' => 'O', 'to' => 'I1', 'actual' => '9 m', 'rise' => '-3 m']], $read->json('pipes'));
    }

    public function testEachLineThatIsWrongIsSaidInWords(): void
    {
        $starter = $this->person(Role::Starter);
        $words = fn (string $line): array => array_column($this->table($starter, self::TABLE . $line)->assertOk()->json('errors'), 'words', 'line');
        self::assertSame([4 => '"X" is not in the table. What feeds it?'], $words("I2,indoor,X,9\n"));
        self::assertSame([4 => '"long" in length has no unit: write it with one, or put the unit in the head.'], $words("I2,indoor,O,long\n"));
        self::assertSame([4 => '"valve" is no kind: outdoor, joint, box or indoor.'], $words("V,valve,O,9\n"));
        self::assertSame([4 => 'I1 stands there twice.'], $words("I1,indoor,O,9\n"));
        self::assertStringStartsWith('The first line has to name its columns: name, kind,', (string) $this->table($starter, "a,b\n")->json('errors.0.words'));
        self::assertCount(40, $this->table($starter, self::TABLE . str_repeat("I2,indoor,X,9\n", 99))->json('errors'));
        $this->table($starter, "\xFF\xFE")->assertStatus(422);
    }

    public function testAddressesAreLookedAtTheSameWay(): void
    {
        $starter = $this->person(Role::Starter);
        $read = $this->table($starter, "name,kind,address,box\nB1,box,51,\nI1,indoor,x,B2\n", 'addresses')->assertOk();
        self::assertSame([['id' => 'B1', 'kind' => 'box', 'address' => 51], ['id' => 'I1', 'kind' => 'indoor', 'box' => 'B2', 'address' => 0]], $read->json('devices'));
        self::assertSame([[3, '"B2" is no box of this table.'], [3, '"x" is no address: enter a whole number.']], array_map(fn (array $one): array => [$one['line'], $one['words']], $read->json('errors')));
        $this->table($starter, "\xFF\xFE", 'addresses')->assertStatus(422);
        self::assertStringStartsWith('The first line has to name its columns: name, kind, box,', (string) $this->table($starter, "a,b\n", 'addresses')->json('errors.0.words'));
    }

    public function testTheTreeComesOutAsItWasDrawnLast(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->actingAs($starter)->get("/api/v1/machines/$machine->id/tree.csv")->assertNotFound();
        $tree = $this->table($starter, self::TABLE)->json();
        $this->record($starter, $machine, 'vrf.topology', ['nodes' => $tree['nodes'], 'pipes' => $tree['pipes'], 'limits' => ['max_total' => '100 m']], 'planned')->assertCreated();
        $file = $this->actingAs($starter)->get("/api/v1/machines/$machine->id/tree.csv")->assertOk();
        self::assertSame([$tree['nodes'], $tree['pipes']], [$this->table($starter, (string) $file->getContent())->json('nodes'), $this->table($starter, (string) $file->getContent())->json('pipes')]);
        app(CurrentCompany::class)->set(null);
        $this->actingAs($this->person(Role::Lead))->get("/api/v1/machines/$machine->id/tree.csv")->assertNotFound();
    }

    public function testTheTreeGoesOutAsADrawingAsDataAndOnPaperInAsManyPiecesAsItTakes(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $get = function (string $what) use ($starter, $machine): TestResponse {
            app(CurrentCompany::class)->set(null);

            return $this->actingAs($starter)->get("/api/v1/machines/$machine->id/$what");
        };
        $get('tree.json')->assertNotFound();
        $get('pages/tree.svg')->assertNotFound();
        $tree = $this->table($starter, self::TABLE . implode('', array_map(fn (int $i): string => "I$i,indoor,O,9,-3,2,Room $i\n", range(2, 64))))->json();
        $told = ['nodes' => $tree['nodes'], 'pipes' => $tree['pipes'], 'limits' => ['max_total' => '1000 m']];
        $this->record($starter, $machine, 'vrf.topology', $told, 'planned')->assertCreated();
        $this->record($starter, $machine, 'vrf.topology', $told, 'built')->assertCreated();
        self::assertEquals($told, $get('tree.json')->assertOk()->json());
        $svg = (string) $get('pages/tree.svg')->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent();
        self::assertSame(1, substr_count($svg, '>I64  Room 64'));
        self::assertStringContainsString('of 3281 ft', $svg, 'its limits stand below');
        self::assertSame(64, substr_count($svg, '>down 9.8 ft<'), 'and how far each pipe goes down');
        $pages = fn (string $paper): int => preg_match_all('#/Type /Page\b(?!s)#', (string) $get("pages/tree.pdf?paper=$paper")->assertOk()->getContent());
        self::assertSame([2, 2, 1], [$pages('letter'), $pages('a4'), $pages('a3')]);
        $get('pages/tree.pdf?paper=napkin')->assertStatus(422)->assertJsonPath('accepted', 'letter, a4, a3');
    }

    public function testAPieceGoesOnWhereTheOneBeforeItEnds(): void
    {
        $node = fn (int $i): array => ['id' => "I$i", 'kind' => 'indoor', 'layer' => 1, 'x' => (float) $i];
        $drawing = ['nodes' => array_map($node, range(0, 6)), 'pipes' => [], 'limits' => [['name' => 'all', 'value' => '1 m', 'limit' => '2 m', 'is' => 'clear', 'path' => ['I0']]]];
        $boxes = array_map(fn (string $svg): array => sscanf((string) strstr($svg, 'viewBox='), 'viewBox="%f %f %f %f"') ?: [], TreeDrawing::parts($drawing, 3));
        self::assertSame([[0.0, 0.0], [0.0, 86.0], [0.0, 158.0]], array_map(fn (array $box): array => array_slice($box, 0, 2), $boxes));
        foreach ([1, 2] as $piece) {
            self::assertEqualsWithDelta($boxes[$piece][1], $boxes[$piece - 1][1] + $boxes[$piece - 1][3], 1.0);
        }
        self::assertCount(1, TreeDrawing::parts($drawing, 7));
        $pipe = ['from' => 'O', 'to' => 'I0', 'length' => '9 m', 'rise' => '2 m'];
        $rises = fn (array $pipe): string => preg_replace('/<[^>]+>/', ' ', TreeDrawing::parts(['nodes' => [['id' => 'O', 'kind' => 'outdoor', 'layer' => 0, 'x' => 0.0], $node(0)], 'pipes' => [$pipe]], 3)[0]) ?? '';
        self::assertStringContainsString(' up 2 m ', $rises($pipe));
        self::assertStringContainsString(' down 2 m ', $rises(['from' => 'I0', 'to' => 'O'] + $pipe), 'written from its other end');
        self::assertStringNotContainsString(' up ', $rises(['rise' => ''] + $pipe));
        self::assertSame([], TreeDrawing::parts(['nodes' => []], 3));
        self::assertSame('', TreeDrawing::svg([]));
    }

    private function table(User $person, string $csv, string $path = 'tree'): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->call('POST', "/api/v1/$path", server: ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json', 'HTTP_X_PERSON' => (string) $person->id], content: $csv);
    }
}
