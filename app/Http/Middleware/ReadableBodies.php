<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Looks at what was sent before anything decodes it: larger than any layout, not text in UTF-8, with a character that no database keeps,
 * or with more fields than a document has, it is refused in one sentence. Fields that are all digits are few in any document; many of
 * them are chosen to fall into one place of a hash table.
 */
final class ReadableBodies
{
    /** Bytes: of the largest layout there is; of a file that is sent; and of a photo. */
    private const LARGEST = 524_288;

    private const LARGEST_FILE = 8_388_608;

    private const LARGEST_PHOTO = 16_777_216;

    /** And of what anybody sends who is not signed in: a name, an address, a password. */
    public const LARGEST_OF_STRANGERS = 8_192;

    private const MOST_FIELDS = 2000;

    private const MOST_DIGITS = 50;

    public function handle(Request $request, Closure $next): Response
    {
        $refusal = self::refusal($request->getPathInfo(), $request->server->getString('QUERY_STRING'), (int) $request->headers->get('Content-Length', '0'), (string) $request->getContent(), true);

        return $refusal === null ? $next($request) : response()->json(['message' => $refusal[1]], $refusal[0]);
    }

    /**
     * Why a request is refused: the status and a sentence. Asked by the front controller too, since a request is decoded when it is made.
     *
     * @param  bool  $mayBeKnown  whether it comes with a cookie by which somebody may be signed in
     *
     * @return array{int, string}|null
     */
    public static function refusal(string $path, string $query, int $length, string $body, bool $mayBeKnown): ?array
    {
        $largest = match (true) {
            str_ends_with($path, '/photos') => self::LARGEST_PHOTO,
            str_ends_with($path, '/import'), str_ends_with($path, '/readings.csv') => self::LARGEST_FILE,
            default => self::LARGEST,
        };
        if (max($length, strlen($body)) > $largest) {
            return [413, sprintf('What was sent is larger than %d kB, which no document of this application is.', $largest / 1024)];
        }
        if (! $mayBeKnown && max($length, strlen($body)) > self::LARGEST_OF_STRANGERS) {
            return [413, sprintf('You are not signed in, and what was sent is larger than %d kB. Sign in, then send it again.', self::LARGEST_OF_STRANGERS / 1024)];
        }
        foreach ([$body, rawurldecode($query), rawurldecode($path), str_starts_with(ltrim($body), '{') ? '' : rawurldecode($body)] as $text) {
            if (! mb_check_encoding($text, 'UTF-8')) {
                return [422, 'What was sent is not text in UTF-8.'];
            }
            if (str_contains($text, "\0") || preg_match('/(?<!\\\\)(?:\\\\\\\\)*\\\\u0000/', $text) === 1) {
                return [422, 'What was sent holds a character (U+0000) that no name or number has.'];
            }
        }

        return self::fields('/"-?\d+"\s*:/', $body) > self::MOST_DIGITS || self::hasWideObject($body)
            ? [422, 'What was sent has more fields in one object than any document of this application.']
            : null;
    }

    private static function fields(string $pattern, string $body): int
    {
        return (int) preg_match_all($pattern, $body);
    }

    /** Whether one object has more fields than there are: looked at closely only where there are so many in all. */
    private static function hasWideObject(string $body): bool
    {
        if (self::fields('/"\s*:/', $body) <= self::MOST_FIELDS) {
            return false;
        }
        $depth = 0;
        $fields = [0];
        $length = strlen($body);
        for ($i = strcspn($body, '"{}:'); $i < $length; $i += strcspn($body, '"{}:', $i)) {
            switch ($body[$i++]) {
                case '"':
                    // To the end of the text, past what is escaped in it.
                    for ($i += strcspn($body, '"\\', $i); $i < $length && $body[$i] === '\\'; $i += 2 + strcspn($body, '"\\', $i + 2));
                    $i++;
                    break;
                case '{':
                    $fields[++$depth] = 0;
                    break;
                case '}':
                    $depth = max(0, $depth - 1);
                    break;
                default:
                    if (++$fields[$depth] > self::MOST_FIELDS) {
                        return true;
                    }
            }
        }

        return false;
    }
}
