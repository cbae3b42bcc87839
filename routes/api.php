<?php

declare(strict_types=1);

use App\Http\Controllers\BoardController;
use App\Http\Controllers\ClockController;
use App\Http\Controllers\CompanyController;
use App\Http\Controllers\ControllerController;
use App\Http\Controllers\CrewController;
use App\Http\Controllers\HandoverController;
use App\Http\Controllers\InstrumentController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\JudgeController;
use App\Http\Controllers\LoggerController;
use App\Http\Controllers\MachineController;
use App\Http\Controllers\OfficeController;
use App\Http\Controllers\OwnerController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\RefrigerantController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\TableController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TreeController;
use App\Http\Middleware\Once;
use Illuminate\Support\Facades\Route;

/*
 * A number in an address is no larger than what it names can be: a place on a tape, or the id of a row. Others are not
 * to be found.
 */
Route::patterns(array_fill_keys(['at', 'clock', 'item', 'asked', 'version'], '[0-9]{1,9}') + array_fill_keys(['machine', 'putBack', 'instrument', 'person', 'site', 'job', 'link', 'invitation', 'sheet'], '[0-9]{1,18}'));

Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::post('session/demo', [SessionController::class, 'demo']);
Route::middleware('throttle:links')->group(function (): void {
    Route::post('session/link', [PeopleController::class, 'read']);
    Route::post('session/join', [PeopleController::class, 'join']);
});

Route::middleware('owner')->group(function (): void {
    Route::get('owner/{token}', [OwnerController::class, 'read'])->middleware('throttle:owner-record');
    Route::get('owner/{token}/record.pdf', [OwnerController::class, 'paper'])->middleware('throttle:owner-record');
    Route::get('owner/{token}/pages/{page}.{form}', [OwnerController::class, 'page'])->whereIn('page', ['curb', 'tree', 'crane', 'order', 'options', 'label', 'finding', 'form', 'as_left', 'door'])->whereIn('form', ['pdf', 'svg'])->middleware('throttle:owner-record');
    Route::get('owner/{token}/photos/{at}', [OwnerController::class, 'photo'])->middleware('throttle:owner-photos');
});

Route::middleware(['auth', 'company'])->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy'])->middleware('whose');
    Route::patch('me', [SessionController::class, 'prefer'])->middleware('whose');
    Route::get('checks', [JudgeController::class, 'index']);
    Route::post('judge/{check}', [JudgeController::class, 'judge']);
    Route::post('logger/{check}/{list}', [LoggerController::class, 'read'])->middleware('role:record');
    Route::post('tree', [TreeController::class, 'read'])->middleware('role:record');
    Route::post('addresses', [TreeController::class, 'addresses'])->middleware('role:record');
    Route::get('today', [TodayController::class, 'show']);
    Route::get('machines/{machine}', [MachineController::class, 'show']);
    Route::get('machines/{machine}/locks', [MachineController::class, 'locks']);
    Route::get('machines/{machine}/whole', [MachineController::class, 'whole']);
    Route::get('machines/{machine}/site-units', [MachineController::class, 'siteUnits']);
    Route::get('machines/{machine}/news', [MachineController::class, 'news']);
    Route::get('machines/{machine}/record', [RecordController::class, 'show']);
    Route::get('machines/{machine}/record.json', [RecordController::class, 'file']);
    Route::get('machines/{machine}/record.pdf', [RecordController::class, 'paper']);
    Route::get('machines/{machine}/refrigerant.csv', [RecordController::class, 'refrigerant']);
    Route::get('machines/{machine}/controller', [ControllerController::class, 'show']);
    Route::post('machines/{machine}/controller', [ControllerController::class, 'press'])->middleware(['role:record', 'whose']);
    Route::get('machines/{machine}/tree.json', [TreeController::class, 'data']);
    Route::get('machines/{machine}/tree.csv', [TreeController::class, 'file']);
    Route::get('machines/{machine}/readings.csv', [RecordController::class, 'readings']);
    Route::get('machines/{machine}/pages/{page}.{form}', [RecordController::class, 'page'])->whereIn('page', ['curb', 'tree', 'crane', 'order', 'options', 'label', 'finding', 'form', 'as_left', 'door'])->whereIn('form', ['pdf', 'svg']);

    Route::get('machines/{machine}/parts-out/{at}/tag.pdf', [JobController::class, 'tag']);
    Route::get('machines/{machine}/photos/{at}', [PhotoController::class, 'show']);
    Route::get('schemas/{name}', [RecordController::class, 'schema'])->whereIn('name', ['record', 'equipment-sheet']);
    Route::get('clocks', [ClockController::class, 'index']);
    Route::get('days.ics', [ClockController::class, 'days']);
    Route::get('machines/{machine}/days.ics', [ClockController::class, 'daysOf']);
    Route::get('clocks.ics', [ClockController::class, 'calendar']);
    Route::get('machines/{machine}/owner-links', [OwnerController::class, 'index'])->middleware('role:make_owner_link');
    Route::get('sheets', [SheetController::class, 'index']);
    Route::get('sheets/{sheet}', [SheetController::class, 'show']);
    Route::get('sheets/{sheet}/versions/{version}.json', [SheetController::class, 'file']);
    Route::get('refrigerants', [RefrigerantController::class, 'index']);
    Route::get('refrigerants/{refrigerant}/pressures', [RefrigerantController::class, 'pressures']);
    Route::get('refrigerants/{refrigerant}/pressures.csv', [RefrigerantController::class, 'file']);
    Route::get('jobs', [BoardController::class, 'index']);
    Route::get('jobs/{job}', [BoardController::class, 'show']);
    Route::get('jobs/{job}/job.zip', [BoardController::class, 'file']);
    Route::get('search', [OfficeController::class, 'search']);
    Route::middleware('role:office')->group(function (): void {
        Route::get('sites', [OfficeController::class, 'sites']);
        Route::get('sites/{site}', [OfficeController::class, 'site']);
        Route::post('import/{table}/preview', [TableController::class, 'preview'])->whereIn('table', ['sites', 'machines']);
        Route::get('export/refrigerant.csv', [TableController::class, 'refrigerant']);
        Route::get('export/{table}.csv', [TableController::class, 'export'])->whereIn('table', ['sites', 'machines']);
        Route::get('review', [OfficeController::class, 'review']);
        Route::get('activity', [OfficeController::class, 'activity']);
    });
    Route::get('people', [PeopleController::class, 'index'])->middleware('role:people');
    Route::get('company', [CompanyController::class, 'show'])->middleware('role:people');
    Route::get('instruments', [InstrumentController::class, 'index']);

    Route::middleware(['whose', Once::class])->group(function (): void {
        Route::post('machines/{machine}/checks', [MachineController::class, 'recordTogether'])->middleware('role:record');
        Route::post('machines/{machine}/checks/{check}', [MachineController::class, 'record'])->middleware('role:record');
        Route::post('machines/{machine}/notes', [MachineController::class, 'note'])->middleware('role:record');
        Route::post('machines/{machine}/suspects', [MachineController::class, 'suspect'])->middleware('role:doubt_own');
        Route::post('machines/{machine}/starts', [MachineController::class, 'start'])->middleware('role:start');
        Route::post('machines/{machine}/overrides', [MachineController::class, 'override'])->middleware('role:override');
        Route::post('machines/{machine}/put-back', [MachineController::class, 'openPutBack'])->middleware('role:record');
        Route::post('machines/{machine}/put-back/{putBack}/leave', [MachineController::class, 'leavePutBack'])->middleware('role:close_own_put_back');
        Route::post('machines/{machine}/put-back/{putBack}/close', [MachineController::class, 'closePutBack'])->middleware('role:close_own_put_back');
        Route::post('machines/{machine}/clocks', [CrewController::class, 'startClock'])->middleware('role:record');
        Route::post('machines/{machine}/clocks/{clock}/stop', [CrewController::class, 'stopClock'])->middleware('role:record');
        Route::post('machines/{machine}/items', [CrewController::class, 'openItem'])->middleware('role:record');
        Route::post('machines/{machine}/items/{item}/own', [CrewController::class, 'ownItem'])->middleware('role:record');
        Route::post('machines/{machine}/items/{item}/done', [CrewController::class, 'finishItem'])->middleware('role:record');
        Route::post('machines/{machine}/ready', [CrewController::class, 'askReady'])->middleware('role:record');
        Route::post('machines/{machine}/ready/{asked}', [CrewController::class, 'answerReady'])->middleware('role:record');
        Route::post('machines/{machine}/facts', [JobController::class, 'fact'])->middleware('role:facts');
        Route::post('machines/{machine}/sheet', [SheetController::class, 'add'])->middleware('role:office');
        Route::post('machines/{machine}/supply-work', [JobController::class, 'supplyWork'])->middleware('role:record');
        Route::post('machines/{machine}/parts-out', [JobController::class, 'partOut'])->middleware('role:disable');
        Route::post('machines/{machine}/parts-back', [JobController::class, 'partBack'])->middleware('role:disable');
        Route::post('machines/{machine}/photos', [PhotoController::class, 'add'])->middleware('role:record');
        Route::post('machines/{machine}/reviews', [HandoverController::class, 'review'])->middleware('role:review');
        Route::post('machines/{machine}/signatures', [HandoverController::class, 'sign'])->middleware('role:record');
        Route::post('machines/{machine}/owner-links', [OwnerController::class, 'make'])->middleware('role:make_owner_link');
        Route::post('machines/{machine}/owner-links/{link}/withdraw', [OwnerController::class, 'withdraw'])->middleware('role:withdraw_owner_link');
        Route::post('import/{table}', [TableController::class, 'bring'])->middleware('role:office')->whereIn('table', ['sites', 'machines']);
        Route::post('sheets', [SheetController::class, 'keep'])->middleware('role:office');
        Route::post('sites', [OfficeController::class, 'makeSite'])->middleware('role:office');
        Route::post('sites/{site}', [OfficeController::class, 'changeSite'])->middleware('role:office');
        Route::post('sites/{site}/jobs', [OfficeController::class, 'makeJob'])->middleware('role:office');
        Route::post('jobs/{job}', [OfficeController::class, 'changeJob'])->middleware('role:office');
        Route::post('jobs/{job}/bring', [BoardController::class, 'bring'])->middleware('role:bring');
        Route::post('jobs/{job}/machines', [OfficeController::class, 'makeMachine'])->middleware('role:machines');
        Route::post('machines/{machine}/plate', [OfficeController::class, 'changeMachine'])->middleware('role:machines');
        Route::post('people', [PeopleController::class, 'invite'])->middleware('role:people');
        Route::post('people/{person}/reset', [PeopleController::class, 'reset'])->middleware('role:people');
        Route::post('people/{person}/role', [PeopleController::class, 'changeRole'])->middleware('role:people');
        Route::post('people/{person}/active', [PeopleController::class, 'active'])->middleware('role:people');
        Route::post('people/{person}/license', [PeopleController::class, 'license'])->middleware('role:people');
        Route::post('people/{person}/sign-out', [PeopleController::class, 'signOut'])->middleware('role:people');
        Route::post('people/links/{invitation}/withdraw', [PeopleController::class, 'withdraw'])->middleware('role:people');
        Route::post('company', [CompanyController::class, 'update'])->middleware('role:people');
        Route::post('instruments', [InstrumentController::class, 'store'])->middleware('role:instruments');
        Route::post('instruments/{instrument}/logger', [LoggerController::class, 'remember'])->middleware('role:record');
        Route::post('instruments/{instrument}', [InstrumentController::class, 'update'])->middleware('role:instruments');
    });
});

// Where the benchmarks run, and nowhere else: floors to measure against.
if (app()->environment('bench')) {
    require base_path('tests/bench/floor.php');
}
