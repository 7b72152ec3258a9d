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
    /** Bytes: of the largest layout there is; and of a file that is sent. */
    private const LARGEST = 524_288;

    private const LARGEST_FILE = 8_388_608;

    private const MOST_FIELDS = 2000;

    private const MOST_DIGITS = 50;

    public function handle(Request $request, Closure $next): Response
    {
        $largest = self::isFile($request) ? self::LARGEST_FILE : self::LARGEST;
        if ((int) $request->headers->get('Content-Length', '0') > $largest) {
            return self::refused(sprintf('What was sent is larger than %d kB, which no document of this application is.', $largest / 1024), 413);
        }
        $body = (string) $request->getContent();
        $texts = [$body, rawurldecode($request->server->getString('QUERY_STRING')), $request->getPathInfo(), $request->isJson() ? '' : rawurldecode($body)];
        foreach ($texts as $text) {
            if (! mb_check_encoding($text, 'UTF-8')) {
                return self::refused('What was sent is not text in UTF-8.', 422);
            }
            if (str_contains($text, "\0") || preg_match('/(?<!\\\\)(?:\\\\\\\\)*\\\\u0000/', $text) === 1) {
                return self::refused('What was sent holds a character (U+0000) that no name or number has.', 422);
            }
        }

        return match (true) {
            strlen($body) > $largest => self::refused(sprintf('What was sent is larger than %d kB, which no document of this application is.', $largest / 1024), 413),
            self::fields('/"-?\d+"\s*:/', $body) > self::MOST_DIGITS, self::hasWideObject($body) => self::refused('What was sent has more fields in one object than any document of this application.', 422),
            default => $next($request),
        };
    }

    /** A file comes as such, or as the text of a table. */
    private static function isFile(Request $request): bool
    {
        return str_ends_with($request->getPathInfo(), '/import') || str_ends_with($request->getPathInfo(), '/readings.csv');
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

    private static function refused(string $message, int $status): Response
    {
        return response()->json(['message' => $message], $status);
    }
}
