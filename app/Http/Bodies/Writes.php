<?php

declare(strict_types=1);

namespace App\Http\Bodies;

use App\Views\ProblemView;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Check\Need;
use OpenApi\Attributes as OA;

/** A write of the API: its body is described from the fields it is read by. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Writes extends OA\Post
{
    /** Named in one place for all of them. */
    private const SHARED = ['machine', 'token'];

    /**
     * @param class-string|null $answers
     * @param array<int, string> $also other answers by status, each a problem
     */
    public function __construct(string $path, string $operation, string $tag, string $says, ?string $answers, int $status = 201, array $also = [], bool $once = true)
    {
        preg_match_all('/\{(\w+)\}/', $path, $found);
        $parameters = array_map(fn (string $name): OA\Parameter => in_array($name, self::SHARED, true)
            ? new OA\Parameter(ref: "#/components/parameters/$name")
            : new OA\Parameter(name: $name, in: 'path', required: true, schema: new OA\Schema(type: $name === 'check' ? 'string' : 'integer')), $found[1]);
        $problems = [];
        foreach ($also as $code => $words) {
            $problems[] = new OA\Response(response: $code, description: $words, content: new OA\JsonContent(ref: ProblemView::class));
        }
        parent::__construct(
            path: $path,
            operationId: $operation,
            tags: [$tag],
            parameters: $once ? [...$parameters, new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer')] : $parameters,
            requestBody: new OA\RequestBody(content: new OA\JsonContent(...self::object(Bodies::of($operation)))),
            responses: [new OA\Response(response: $status, description: $says, content: new OA\JsonContent(ref: $answers)), ...$problems],
        );
    }

    /**
     * @param list<Field> $fields
     * @return array{type: string, properties: list<OA\Property>, required?: list<string>}
     */
    private static function object(array $fields): array
    {
        $required = array_values(array_map(fn (Field $f): string => $f->name, array_filter($fields, fn (Field $f): bool => $f->need === Need::Structural)));

        return ['type' => 'object', 'properties' => array_map(self::property(...), $fields)] + ($required === [] ? [] : ['required' => $required]);
    }

    private static function property(Field $field): OA\Property
    {
        $bounds = array_filter(['minimum' => $field->min, 'maximum' => $field->max], fn (?float $bound): bool => $bound !== null && abs($bound) < 1e9);
        $whole = array_map(intval(...), $bounds);

        return match ($field->type) {
            FieldType::Text => new OA\Property(property: $field->name, type: 'string', maxLength: $field->length),
            FieldType::Flag => new OA\Property(property: $field->name, type: 'boolean'),
            FieldType::Count => new OA\Property(...['property' => $field->name, 'type' => 'integer', 'nullable' => $field->need === Need::Optional] + $whole),
            FieldType::Number => new OA\Property(...['property' => $field->name, 'type' => 'number'] + $whole),
            FieldType::Word => new OA\Property(property: $field->name, type: 'string', enum: $field->options),
            FieldType::Words => new OA\Property(property: $field->name, type: 'array', items: new OA\Items(type: 'string', enum: $field->options)),
            FieldType::Texts => new OA\Property(property: $field->name, type: 'array', items: new OA\Items(type: 'string', maxLength: $field->length)),
            FieldType::Items => new OA\Property(property: $field->name, type: 'array', items: new OA\Items(...self::object($field->fields))),
            FieldType::Group => new OA\Property(...['property' => $field->name] + self::object($field->fields)),
            default => new OA\Property(property: $field->name, nullable: true),
        };
    }
}
