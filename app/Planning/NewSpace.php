<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Validation\Rule;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\SpaceChoices;
use Incastro\Survey\Space\SpaceKind;

/** What is asked of somebody who begins a space, and the document that comes of it. */
final class NewSpace
{
    /** @return array<string, mixed> */
    public static function rules(): array
    {
        return ['kind' => ['sometimes', Rule::enum(SpaceKind::class)], 'practice' => ['sometimes', 'boolean']];
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    public static function choices(string $name, string $measure, array $data): array
    {
        $kind = SpaceKind::from($data['kind'] ?? SpaceKind::Alcove->value);
        $choices = SpaceChoices::defaults(trim($name), LengthFormat::of($measure), $kind);

        return ['practice' => ($data['practice'] ?? false) ? random_int(1, 1_000_000) : null] + $choices;
    }
}
