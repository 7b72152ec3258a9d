<?php

declare(strict_types=1);

namespace App\Auth;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/** Refuses passwords that are tried first: words of the list with numbers around them, rows of keys, one thing repeated, one's own name. */
final class UncommonPassword implements ValidationRule, DataAwareRule
{
    private const ROWS = ['abcdefghijklmnopqrstuvwxyz', '01234567890123456789', 'qwertyuiopasdfghjklzxcvbnm', 'qwertzuiopasdfghjklyxcvbnm', 'azertyuiopqsdfghjklmwxcvbn', '1qaz2wsx3edc4rfv5tgb6yhn7ujm', '1q2w3e4r5t6y7u8i9o0p'];

    private const WRITTEN_FOR = ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i'];

    /** As many signs of one's own must stand beside one's name. */
    private const BESIDE_A_NAME = 6;

    /** @var array<string, mixed> */
    private array $data = [];

    /** @param array<string, mixed> $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $text = mb_strtolower(is_string($value) ? $value : '');
        if (self::isRow($text) || self::isRepeated($text) || self::isListed($text)) {
            $fail('This password is among those that are tried first. Take another: four words that do not belong together are good.');
        } elseif ($this->isName($text)) {
            $fail('This password is hardly more than your name or address. Take another: four words that do not belong together are good.');
        }
    }

    private static function isListed(string $text): bool
    {
        $listed = array_flip(file(__DIR__.'/common-passwords.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []);
        $bare = fn (string $text): string => (string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$|[\s_.-]+/u', '', $text);

        return isset($listed[$text]) || isset($listed[$bare($text)]) || isset($listed[$bare(strtr($bare($text), self::WRITTEN_FOR))]);
    }

    private static function isRow(string $text): bool
    {
        foreach (self::ROWS as $row) {
            if (str_contains($row.$row, $text) || str_contains(strrev($row.$row), $text)) {
                return true;
            }
        }

        return false;
    }

    private static function isRepeated(string $text): bool
    {
        return count(array_unique(mb_str_split($text))) < 5 || preg_match('/^(.{1,6})\1+.{0,4}$/u', $text) === 1;
    }

    private function isName(string $text): bool
    {
        $own = array_filter([$this->data['name'] ?? null, explode('@', is_string($this->data['email'] ?? null) ? $this->data['email'] : '')[0]], fn (mixed $name) => is_string($name) && mb_strlen($name) > 3);
        foreach ($own as $name) {
            $left = str_replace(mb_strtolower($name), '', $text);
            if ($left !== $text && mb_strlen($left) < self::BESIDE_A_NAME) {
                return true;
            }
        }

        return false;
    }
}
