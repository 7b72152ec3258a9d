<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/** A CSV file with a header row (RFC 4180): its rows by field name, each with the line it starts on. */
final readonly class CsvTable
{
    /** Lines of a list of pieces or stock. */
    private const MOST = 20_000;

    /** @param list<array{int, array<string, string>}> $rows line and fields */
    private function __construct(public string $file, public array $rows)
    {
    }

    /**
     * @param  list<string>  $fields  those that the header must name
     *
     * @throws BadFile
     */
    public static function read(string $file, array $fields): self
    {
        $text = is_file($file) ? @file_get_contents($file) : false;
        if ($text === false) {
            throw BadFile::at($file.':0:file', 'The file cannot be read. Give the path of a CSV file.');
        }

        return self::parse($file, $text, $fields);
    }

    /**
     * @param  string  $file  what faults call it
     * @param  list<string>  $fields
     * @param  int  $most  lines that such a file has
     *
     * @throws BadFile
     */
    public static function parse(string $file, string $text, array $fields, int $most = self::MOST): self
    {
        $lines = substr_count($text, "\n");
        if ($lines > $most) {
            throw BadFile::at("$file:1:row", sprintf('There are %d lines. Such a file has at most %d.', $lines, $most));
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw BadFile::at($file.':1:file', 'The file is not UTF-8 text. Save it as UTF-8.');
        }
        $records = self::records(preg_replace('/^\x{FEFF}/u', '', $text) ?? $text);
        $header = array_map(trim(...), $records[0][1] ?? []);
        $missing = array_diff($fields, $header);
        if ($missing !== []) {
            throw BadFile::at($file.':1:'.implode(',', $missing), sprintf('The header must name %s.', implode(', ', $fields)));
        }
        $rows = $faults = [];
        foreach (array_slice($records, 1) as [$line, $values]) {
            if ($values === ['']) {
                continue;
            }
            if (count($values) !== count($header)) {
                $faults[] = new Fault("$file:$line:row", sprintf('The row has %d fields and the header %d. Quote fields that hold a comma.', count($values), count($header)));

                continue;
            }
            $rows[] = [$line, array_combine($header, array_map(trim(...), $values))];
        }
        if ($faults !== []) {
            throw new BadFile($faults);
        }

        return new self($file, $rows);
    }

    /** @return list<array{int, list<string>}> */
    private static function records(string $text): array
    {
        $text = str_replace("\r\n", "\n", $text);
        $stream = fopen('php://memory', 'r+');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);
        $records = [];
        $line = 1;
        while (true) {
            $before = ftell($stream);
            $values = fgetcsv($stream, null, ',', '"', '');
            if ($values === false) {
                break;
            }
            $records[] = [$line, array_map(fn (?string $value) => (string) $value, $values)];
            $line += substr_count($text, "\n", (int) $before, (int) ftell($stream) - (int) $before);
        }

        return $records;
    }
}
