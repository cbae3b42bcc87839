<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Machine;
use App\Models\SiteJob;
use App\Models\User;
use App\Records\CompanyKeys;
use App\Records\Grants;
use App\Records\Paper;
use App\Records\PhotoStore;
use App\Records\Turns;
use App\Support\ControllerLine;
use App\Support\Courier;
use App\Support\CurrentCompany;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\View\Factory;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Database\Events\NoPendingMigrations;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Wording\GateSpeaker;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;

final class AppServiceProvider extends ServiceProvider
{
    /** A minute, from one address. */
    private const LINKS = 20;
    private const RECORDS = 60;
    private const PHOTOS = 600;

    public function register(): void
    {
        $this->app->scoped(CurrentCompany::class);
        $this->app->singleton(Phrases::class, fn (): Phrases => Phrases::shipped());
        $this->app->singleton(Speaker::class, fn (): Speaker => new Speaker($this->app->make(Phrases::class)));
        $this->app->singleton(Judge::class, fn (): Judge => new Judge(new Registry(), $this->app->make(Speaker::class)));
        $this->app->singleton(CompanyKeys::class, fn (): CompanyKeys => new CompanyKeys(config('iron.keys')));
        $this->app->bind(Grants::class, fn (): Grants => new Grants($this->app->make(ConnectionInterface::class), config('iron.app_role')));
        $this->app->singleton(Turns::class, fn (): Turns => new Turns(storage_path('framework')));
        $this->app->singleton(PhotoStore::class, fn (): PhotoStore => new PhotoStore(config('iron.photos'), $this->app->make(Turns::class)));
        $this->app->singleton(Paper::class, fn (): Paper => new Paper($this->app->make(Factory::class), public_path('build/fonts'), storage_path('fonts')));
        $this->app->singleton(Courier::class, fn (): Courier => new Courier(config('iron.sendmail'), config('iron.mail_from')));
        $this->app->bind(ControllerLine::class, fn (): ControllerLine => new ControllerLine(config('iron.controller')));
        $this->app->singleton(GateSpeaker::class, fn (): GateSpeaker => new GateSpeaker($this->app->make(Phrases::class), (new Registry())->ids()));
    }

    public function boot(): void
    {
        Model::preventLazyLoading();
        Model::preventSilentlyDiscardingAttributes();
        Event::listen([MigrationsEnded::class, NoPendingMigrations::class], fn () => $this->app->make(Grants::class)->give());
        // Counted each by itself: the pictures of a record do not use up the looks at the record.
        foreach (['links' => self::LINKS, 'owner-record' => self::RECORDS, 'owner-photos' => self::PHOTOS] as $what => $most) {
            RateLimiter::for($what, fn (Request $request): Limit => Limit::perMinute($most)->by("$what:{$request->ip()}"));
        }
        // Addresses of the interface's files begin at the root, whatever host the page was asked for by.
        Vite::createAssetPathsUsing(fn (string $path): string => "/$path");
        // A person of another company is not to be found.
        Route::bind('person', fn (string $id): User => User::query()->where('company_id', $this->app->make(CurrentCompany::class)->id())->whereKey((int) $id)->firstOrFail());
        // A job one is not on is not to be found, unless one's role sees all.
        Route::bind('job', function (string $id): SiteJob {
            $person = request()->user();

            return SiteJob::query()->whereKey((int) $id)->when(
                $person instanceof User && ! $person->role->may('see_all_jobs'),
                fn ($query) => $query->whereHas('people', fn ($people) => $people->whereKey($person?->getKey())),
            )->firstOrFail();
        });
        // A machine of a job one is not on, or of another company, is not to be found.
        Route::bind('machine', function (string $id): Machine {
            $person = request()->user();

            return Machine::query()->whereKey((int) $id)->when(
                $person instanceof User && ! $person->role->may('see_all_jobs'),
                fn ($query) => $query->whereHas('job.people', fn ($people) => $people->whereKey($person?->getKey())),
            )->firstOrFail();
        });
    }
}
