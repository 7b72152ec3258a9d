<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Planning\SpaceChoices;

/** Brings a job file of an older format to the newest, one step after another. */
final class JobUpgrade
{
    /**
     * @param  array<string, mixed>  $file
     * @return array<string, mixed>
     */
    public static function toNewest(array $file): array
    {
        if ($file['format'] === 1) {
            $file['job']['spaces'] = array_map(fn (array $space) => $space + SpaceChoices::sinceFormat2(), $file['job']['spaces']);
        }

        return ['format' => JobFile::FORMAT] + $file;
    }
}
