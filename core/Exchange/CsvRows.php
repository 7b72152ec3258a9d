<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/** Rows of text as CSV (RFC 4180). */
final class CsvRows
{
    /** @param list<list<string>> $rows */
    public static function write(array $rows, string $end = "\r\n"): string
    {
        $file = fopen('php://memory', 'r+');
        assert($file !== false);
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::asText(...), $row), escape: '', eol: $end);
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /** A spreadsheet takes what begins like a formula for one, unless an apostrophe stands before it; a plain number is none. */
    private static function asText(string $field): string
    {
        return preg_match('/^[=+\-@\t\r]/', $field) === 1 && preg_match('/^-\d+(\.\d+)?$/D', $field) !== 1 ? "'$field" : $field;
    }
}
