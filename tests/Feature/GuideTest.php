<?php

declare(strict_types=1);

namespace Tests\Feature;

use IronStart\Core\Wording\Phrases;
use PHPUnit\Framework\TestCase;

/** The guide: a page a question, named as the rail names it, each with a picture that is there. */
final class GuideTest extends TestCase
{
    public function testThereIsAPageForEachQuestionUnderItsOwnName(): void
    {
        $phrases = Phrases::shipped();
        for ($gate = 1; $gate <= 12; $gate++) {
            $files = glob(sprintf('%s/docs/guide/%02d-*.md', dirname(__DIR__, 2), $gate)) ?: [];
            self::assertCount(1, $files, "page $gate");
            $question = $phrases->common('gates', (string) $gate);
            self::assertSame("# $gate. {$phrases->common('gate_names', (string) $gate)}: " . lcfirst($question), strtok((string) file_get_contents($files[0]), "\n"));
        }
    }

    public function testEachPageHasItsPicture(): void
    {
        $pages = glob(dirname(__DIR__, 2) . '/docs/guide/*.md') ?: [];
        self::assertCount(13, $pages);
        foreach ($pages as $page) {
            preg_match_all('/!\[[^\]]+\]\((pictures\/[\w-]+\.webp)\)/', (string) file_get_contents($page), $found);
            self::assertNotSame([], $found[1], $page);
            foreach ($found[1] as $picture) {
                self::assertFileExists(dirname($page) . "/$picture");
            }
        }
    }
}
