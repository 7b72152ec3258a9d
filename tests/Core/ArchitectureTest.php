<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** The folders of the core follow the job: each imports only those before it, and none knows the application. */
final class ArchitectureTest extends TestCase
{
    private const ORDER = ['Measure', 'Geometry', 'Rules', 'Survey', 'Fit', 'Pieces', 'Strength', 'Units', 'Check', 'Cut', 'Saw', 'Buy', 'Install', 'Planning', 'Log', 'Drawing', 'Sums', 'Exchange', 'Trial'];

    private const LONGEST_FILE = 400;

    /** @return list<\SplFileInfo> */
    private function files(): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(__DIR__.'/../../core', \FilesystemIterator::SKIP_DOTS)) as $file) {
            $files[] = $file;
        }
        self::assertNotEmpty($files);

        return $files;
    }

    public function test_folders_import_only_those_before_them(): void
    {
        $wrong = [];
        foreach ($this->files() as $file) {
            // Folders inside a folder belong to it.
            $own = array_search(explode('/', substr((string) $file->getRealPath(), strlen((string) realpath(__DIR__.'/../../core')) + 1))[0], self::ORDER, true);
            self::assertNotFalse($own, $file->getPath().' has no place in the order.');
            preg_match_all('/Incastro\\\\(\w+)\\\\/', (string) file_get_contents($file->getPathname()), $found);
            foreach ($found[1] as $folder) {
                if (array_search($folder, self::ORDER, true) > $own) {
                    $wrong[] = "{$file->getFilename()} imports $folder";
                }
            }
        }
        self::assertSame([], array_unique($wrong));
    }

    public function test_the_core_knows_neither_framework_nor_application_nor_clock_nor_chance(): void
    {
        foreach ($this->files() as $file) {
            $text = (string) file_get_contents($file->getPathname());
            self::assertDoesNotMatchRegularExpression('/\bIlluminate\b|\bApp\\\\|\b(?:time|date|microtime|rand|mt_rand|random_int|uniqid)\(|new \\\\?Date/', $text, $file->getFilename());
            self::assertStringContainsString('declare(strict_types=1);', $text, $file->getFilename());
            self::assertLessThanOrEqual(self::LONGEST_FILE, substr_count($text, "\n"), $file->getFilename());
        }
    }
}
