<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\JobFactBook;
use App\Models\Job;
use App\Models\Photo;
use App\Photos\Shrunk;
use App\Photos\Unusable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Incastro\Log\LogFacts;

/** Photos of a job: sent with the fact that tells what they show, served to whoever works on it. */
final class PhotoController extends Controller
{
    private const LARGEST = 15 * 1024 * 1024;

    public function store(Request $request, Job $job, JobFactBook $book): JsonResponse
    {
        $data = $request->validate([
            'id' => ['required', 'uuid'], 'fact' => ['required', 'uuid'], 'device' => ['required', 'uuid'], 'sequence' => ['required', 'integer', 'min:0'],
            'at' => ['required', 'string', 'max:40', 'date'], 'caption' => ['nullable', 'string', 'max:200'], 'where' => ['nullable', 'string', 'max:200'],
        ]);
        $photo = Photo::query()->whereKey($data['id'])->first();
        if ($photo === null) {
            $this->keep($job, $data['id'], $this->bytes($request));
        } elseif ($photo->job_id !== $job->id) {
            throw ValidationException::withMessages(['id' => 'This was sent before with other content.']);
        }
        $book->add($job, $this->person($request), [[
            'id' => $data['fact'], 'device' => $data['device'], 'sequence' => $data['sequence'], 'kind' => LogFacts::PHOTO, 'at' => $data['at'], 'part' => null,
            'body' => ['photo' => $data['id'], 'caption' => $data['caption'] ?? '', 'where' => $data['where'] ?? ''], 'withdraws' => [],
        ]]);

        return response()->json(['id' => $data['id']], 201);
    }

    public function show(Request $request, Job $job, string $photo): Response
    {
        $kept = Photo::query()->where('job_id', $job->id)->findOrFail($photo);
        abort_if($kept->removed_at !== null, 404, 'This photo was removed.');
        $bytes = Storage::disk(config('incastro.photos'))->get($kept->path($request->boolean('small'))) ?? abort(404);

        return response($bytes, 200, ['Content-Type' => 'image/jpeg', 'X-Content-Type-Options' => 'nosniff', 'Cache-Control' => 'private, max-age=31536000, immutable', 'Content-Disposition' => 'inline; filename="photo.jpg"']);
    }

    /** Takes its bytes away; that there was one stays written. */
    public function destroy(Job $job, string $photo): Response
    {
        $kept = Photo::query()->where('job_id', $job->id)->findOrFail($photo);
        Storage::disk(config('incastro.photos'))->delete([$kept->path(), $kept->path(true)]);
        $kept->update(['removed_at' => now(), 'size' => 0]);

        return response()->noContent();
    }

    private function bytes(Request $request): string
    {
        $file = $request->file('photo');
        if (! $file instanceof UploadedFile || ! $file->isValid()) {
            self::refuse('No photo came with this. It may be larger than 15 MB.');
        }
        if ($file->getSize() > self::LARGEST) {
            self::refuse(sprintf('This photo has %.0f MB. It may have 15.', $file->getSize() / 1024 / 1024));
        }

        return (string) $file->getContent();
    }

    private function keep(Job $job, string $id, string $bytes): void
    {
        try {
            $shrunk = Shrunk::of($bytes);
        } catch (Unusable $unusable) {
            self::refuse($unusable->getMessage());
        }
        $size = strlen($shrunk->large) + strlen($shrunk->small);
        $used = (int) Photo::query()->where('job_id', $job->id)->sum('size');
        $ofHome = (int) Photo::query()->whereIn('job_id', $job->home->jobs()->withTrashed()->select('jobs.id'))->sum('size');
        [$most, $mostOfHome] = [(int) config('incastro.photo_bytes_job'), (int) config('incastro.photo_bytes_home')];
        if ($used + $size > $most) {
            self::refuse(sprintf('This job’s photos are full (%d MB). Remove some.', intdiv($most, 1024 * 1024)));
        }
        if ($ofHome + $size > $mostOfHome) {
            self::refuse(sprintf('The photos of this home are full (%d MB). Remove some.', intdiv($mostOfHome, 1024 * 1024)));
        }
        $photo = Photo::query()->create(['id' => $id, 'job_id' => $job->id, 'size' => $size, 'created_at' => now()]);
        $disk = Storage::disk(config('incastro.photos'));
        $disk->put($photo->path(), $shrunk->large);
        $disk->put($photo->path(true), $shrunk->small);
    }

    /** @throws ValidationException */
    private static function refuse(string $sentence): never
    {
        throw ValidationException::withMessages(['photo' => $sentence]);
    }
}
