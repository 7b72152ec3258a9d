<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Home;
use App\Planning\HomeLessons;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Incastro\Log\Lesson;

/** What the jobs of a home teach: taken over they become habits of the home, with which new jobs begin. */
final class LessonController extends Controller
{
    private const MOST_PEOPLE = 20;

    public function index(Home $home): JsonResponse
    {
        return response()->json([
            'lessons' => array_map(fn (Lesson $one): array => ['about' => $one->about, 'title' => $one->title, 'suggestion' => $one->suggestion, 'evidence' => $one->evidence, 'count' => $one->count, 'changes' => $one->habit !== null, 'holds' => self::holds($one)], HomeLessons::of($home)),
            'habits' => HomeLessons::count($home),
            'people' => $home->habits['people'] ?? [],
        ]);
    }

    /** From when on something that is taken over holds. */
    private static function holds(Lesson $lesson): string
    {
        return match (true) {
            $lesson->habit === null => '',
            str_starts_with($lesson->habit, 'saws.') => 'It holds from the next release on.',
            default => 'New jobs begin with it.',
        };
    }

    public function answer(Request $request, Home $home): JsonResponse
    {
        $data = $request->validate(['about' => ['required', 'string', 'max:120'], 'take' => ['required', 'boolean']]);
        HomeLessons::answer($home, $data['about'], (bool) $data['take']) ?? abort(404, 'This is not told any more: what it was seen by has changed.');

        return $this->index($home->refresh());
    }

    /** Who works there, by name: no account is needed. */
    public function people(Request $request, Home $home): Response
    {
        $data = $request->validate(['people' => ['present', 'array', 'max:'.self::MOST_PEOPLE], 'people.*' => self::nameRules()]);
        Home::changing($home->id, fn (Home $locked) => $locked->update(['habits' => ['people' => array_values(array_unique($data['people']))] + $locked->habits]));

        return response()->noContent();
    }
}
