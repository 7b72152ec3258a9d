<?php

declare(strict_types=1);

namespace App\Photos;

use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Query\Builder;
use League\Flysystem\Config;
use League\Flysystem\DirectoryAttributes;
use League\Flysystem\FileAttributes;
use League\Flysystem\FilesystemAdapter;
use League\Flysystem\UnableToMoveFile;
use League\Flysystem\UnableToReadFile;
use League\Flysystem\UnableToSetVisibility;

/** A disk whose files lie in a table, so that any number of web servers share it; for files of a few megabytes that are read whole. */
final readonly class DatabaseDisk implements FilesystemAdapter
{
    private const TABLE = 'blobs';

    public function __construct(private ConnectionInterface $database)
    {
    }

    public function fileExists(string $path): bool
    {
        return $this->file($path)->exists();
    }

    public function directoryExists(string $path): bool
    {
        return $this->under($path)->exists();
    }

    public function write(string $path, string $contents, Config $config): void
    {
        $this->database->statement(
            'INSERT INTO blobs (path, bytes, size, created_at) VALUES (?, decode(?, \'base64\'), ?, now()) ON CONFLICT (path) DO UPDATE SET bytes = excluded.bytes, size = excluded.size, created_at = now()',
            [$path, base64_encode($contents), strlen($contents)],
        );
    }

    public function writeStream(string $path, $contents, Config $config): void
    {
        $this->write($path, (string) stream_get_contents($contents), $config);
    }

    public function read(string $path): string
    {
        $row = $this->file($path)->selectRaw("encode(bytes, 'base64') AS bytes")->first();

        return $row === null ? throw UnableToReadFile::fromLocation($path, 'There is no such file.') : (string) base64_decode((string) $row->bytes, false);
    }

    public function readStream(string $path)
    {
        $stream = fopen('php://temp', 'r+');
        assert($stream !== false);
        fwrite($stream, $this->read($path));
        rewind($stream);

        return $stream;
    }

    public function delete(string $path): void
    {
        $this->file($path)->delete();
    }

    public function deleteDirectory(string $path): void
    {
        $this->under($path)->delete();
    }

    public function createDirectory(string $path, Config $config): void
    {
        // Directories are what paths say.
    }

    public function setVisibility(string $path, string $visibility): void
    {
        throw UnableToSetVisibility::atLocation($path, 'Nothing on this disk is for everybody.');
    }

    public function visibility(string $path): FileAttributes
    {
        return new FileAttributes($path, visibility: 'private');
    }

    public function mimeType(string $path): FileAttributes
    {
        return new FileAttributes($path, mimeType: str_ends_with($path, '.jpg') ? 'image/jpeg' : 'application/octet-stream');
    }

    public function lastModified(string $path): FileAttributes
    {
        $at = $this->file($path)->value('created_at');

        return new FileAttributes($path, lastModified: is_string($at) ? (int) strtotime($at) : throw UnableToReadFile::fromLocation($path, 'There is no such file.'));
    }

    public function fileSize(string $path): FileAttributes
    {
        $size = $this->file($path)->value('size');

        return new FileAttributes($path, is_numeric($size) ? (int) $size : throw UnableToReadFile::fromLocation($path, 'There is no such file.'));
    }

    /** @return iterable<FileAttributes|DirectoryAttributes> */
    public function listContents(string $path, bool $deep): iterable
    {
        foreach ($this->under($path)->orderBy('path')->get(['path', 'size']) as $row) {
            if ($deep || ! str_contains(substr((string) $row->path, strlen(rtrim($path, '/')) + 1), '/')) {
                yield new FileAttributes((string) $row->path, (int) $row->size);
            }
        }
    }

    public function move(string $source, string $destination, Config $config): void
    {
        if ($this->file($source)->update(['path' => $destination]) === 0) {
            throw UnableToMoveFile::because('There is no such file.', $source, $destination);
        }
    }

    public function copy(string $source, string $destination, Config $config): void
    {
        $this->write($destination, $this->read($source), $config);
    }

    private function file(string $path): Builder
    {
        return $this->database->table(self::TABLE)->where('path', $path);
    }

    private function under(string $path): Builder
    {
        $directory = trim($path, '/');

        return $this->database->table(self::TABLE)->when($directory !== '', fn (Builder $query) => $query->whereRaw('starts_with(path, ?)', ["$directory/"]));
    }
}
