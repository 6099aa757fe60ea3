<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\AmountController;
use App\Http\Controllers\BatchController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CheckController;
use App\Http\Controllers\ChoreController;
use App\Http\Controllers\DayController;
use App\Http\Controllers\FirstWeekController;
use App\Http\Controllers\FormulaController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\IntakeController;
use App\Http\Controllers\InvitationController;
use App\Http\Controllers\JarStandController;
use App\Http\Controllers\KitchenController;
use App\Http\Controllers\KitchenFileController;
use App\Http\Controllers\LabelController;
use App\Http\Controllers\LedgerController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\MemberController;
use App\Http\Controllers\MetricsController;
use App\Http\Controllers\OtherFoodController;
use App\Http\Controllers\PantryController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PortionController;
use App\Http\Controllers\RoomController;
use App\Http\Controllers\SavingController;
use App\Http\Controllers\ScreenController;
use App\Http\Controllers\SearchController;
use App\Http\Controllers\ServingController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SharedReportController;
use App\Http\Controllers\StepController;
use App\Http\Controllers\TimelineController;
use App\Http\Controllers\WeekController;
use App\Http\Middleware\HearWhenDone;
use Illuminate\Support\Facades\Route;

/*
| Everything under /api is described in contract/*.yaml; a test holds the two against each other.
*/
Route::prefix('api')->group(function (): void {
    Route::get('session', [SessionController::class, 'show']);
    Route::get('presets', [KitchenController::class, 'presets']);
    Route::post('session', [SessionController::class, 'store']);
    Route::post('session/demo', [SessionController::class, 'demo'])->middleware('throttle:60,1');
    Route::post('kitchens', [KitchenController::class, 'store']);
    Route::post('password/forgotten', [PasswordController::class, 'forgotten']);
    Route::put('password', [PasswordController::class, 'reset']);
    Route::middleware('throttle:60,1')
        ->where(['secret' => '[A-Za-z0-9]{40}'])
        ->group(function (): void {
            Route::get('join/{secret}', [InvitationController::class, 'show']);
            Route::post('join/{secret}', [InvitationController::class, 'accept']);
            Route::get('reports/{secret}', SharedReportController::class);
        });

    Route::middleware(['household', HearWhenDone::class, 'once'])->group(function (): void {
        Route::delete('session', [SessionController::class, 'destroy'])->withoutMiddleware('once');
        // What is told once, or ends with the kitchen, leaves no answer behind.
        Route::withoutMiddleware('once')->group(function (): void {
            Route::get('account', [AccountController::class, 'show']);
            Route::put('account', [AccountController::class, 'update']);
            Route::put('account/password', [AccountController::class, 'changePassword']);
            Route::put('account/kitchen', [AccountController::class, 'openKitchen']);
            Route::delete('account', [AccountController::class, 'close']);
            Route::delete('account/devices', [AccountController::class, 'signOutEverywhere']);
            Route::delete('account/devices/{device}', [AccountController::class, 'signOutDevice']);
            Route::delete('account/kitchens/{kitchen}', [AccountController::class, 'leave']);
            Route::post('account/tokens', [AccountController::class, 'makeToken']);
            Route::delete('account/tokens/{token}', [AccountController::class, 'withdrawToken']);
            Route::get('members', [MemberController::class, 'index']);
            Route::put('members/{member}', [MemberController::class, 'update']);
            Route::delete('members/{member}', [MemberController::class, 'remove']);
            Route::post('invitations', [MemberController::class, 'invite']);
            Route::delete('invitations/{invitation}', [MemberController::class, 'withdraw']);
            Route::post('report-links', [MemberController::class, 'share']);
            Route::delete('report-links/{reportLink}', [MemberController::class, 'unshare']);
            Route::delete('kitchen', [MemberController::class, 'destroy']);
        });
        Route::get('kitchen', [KitchenController::class, 'show']);
        Route::post('bench', BenchController::class)->withoutMiddleware('once');
        Route::get('batches', [BatchController::class, 'index']);
        Route::post('batches/bought', [BatchController::class, 'shelve']);
        Route::post('batches', [BatchController::class, 'store']);
        Route::get('batches/{batch}', [BatchController::class, 'show']);
        Route::get('batches/{batch}/history', [BatchController::class, 'history']);
        Route::get('batches/{batch}/course', [BatchController::class, 'course']);
        Route::put('batches/{batch}/emptied', [BatchController::class, 'emptied']);
        Route::get('batches/{batch}/steps', [StepController::class, 'index']);
        Route::post('batches/{batch}/steps/{step}/done', [StepController::class, 'done']);
        Route::post('batches/{batch}/steps/{step}/skipped', [StepController::class, 'skipped']);
        Route::delete('batches/{batch}/steps/{step}/done', [StepController::class, 'undone']);
        Route::post('batches/{batch}/steps/{step}/preview', [StepController::class, 'preview'])->withoutMiddleware(
            'once',
        );
        Route::get('batches/{batch}/portions', [PortionController::class, 'index']);
        Route::post('batches/{batch}/portions/update', [PortionController::class, 'update']);
        Route::delete('batches/{batch}/portions/update', [PortionController::class, 'undo']);
        Route::post('batches/{batch}/entries', [LedgerController::class, 'store']);
        Route::post('batches/{batch}/entries/{entry}/reversal', [LedgerController::class, 'reverse']);
        Route::post('batches/{batch}/entries/{entry}/reversal/preview', [
            LedgerController::class,
            'previewReversal',
        ])->withoutMiddleware('once');
        Route::post('batches/{batch}/preview', [LedgerController::class, 'preview'])
            ->name('preview')
            ->withoutMiddleware('once');
        Route::post('batches/{batch}/questions', [LedgerController::class, 'ask'])->withoutMiddleware('once');
        Route::get('batches/{batch}/savings', [SavingController::class, 'ofBatch']);
        Route::put('batches/{batch}/place', [JarStandController::class, 'move']);
        Route::put('batches/{batch}/jar', [JarStandController::class, 'close']);
        Route::post('batches/{batch}/spare-brine', [JarStandController::class, 'keepBrine']);
        Route::put('batches/{batch}/aim', [JarStandController::class, 'aim']);
        Route::post('batches/{batch}/releases', [JarStandController::class, 'pass']);
        Route::get('batches/{batch}/log', [LogController::class, 'index']);
        Route::post('batches/{batch}/notes', [LogController::class, 'store']);
        Route::delete('notes/{note}', [LogController::class, 'remove']);
        Route::get('notes/{note}/photo', [LogController::class, 'photo']);
        Route::post('notes/{note}/photo', [LogController::class, 'keepPhoto']);
        Route::get('batches/{batch}/check', [CheckController::class, 'show']);
        Route::post('batches/{batch}/check', [CheckController::class, 'store']);
        Route::post('batches/{batch}/check/preview', [CheckController::class, 'preview'])->withoutMiddleware('once');
        Route::get('practice', [CheckController::class, 'practice']);
        Route::post('practice', [CheckController::class, 'answer']);
        Route::get('chores', [ChoreController::class, 'index']);
        Route::post('chores/marks', [ChoreController::class, 'mark']);
        Route::delete('chores/marks/{mark}', [ChoreController::class, 'unmark']);
        Route::get('rooms', [RoomController::class, 'index']);
        Route::put('rooms/{place}', [RoomController::class, 'update']);
        Route::post('rooms/{place}/readings', [RoomController::class, 'read']);
        Route::post('rooms/{place}/log', [RoomController::class, 'bring']);
        Route::post('rooms/{place}/spells', [RoomController::class, 'expect']);
        Route::delete('rooms/{place}/spells/{spell}', [RoomController::class, 'forget']);
        Route::get('calendar', [CalendarController::class, 'show']);
        Route::post('calendar', [CalendarController::class, 'make']);
        Route::delete('calendar', [CalendarController::class, 'revoke']);
        Route::get('calendar/file', [CalendarController::class, 'file']);
        Route::put('household', [PantryController::class, 'household']);
        foreach (
            ['people' => 'Person', 'salts' => 'Salt', 'foods' => 'Food', 'jars' => 'Jar', 'hold-downs' => 'HoldDown']
            as $path => $one
        ) {
            $parameter = lcfirst($one);
            Route::post($path, [PantryController::class, "save{$one}"]);
            Route::put("{$path}/{{$parameter}}", [PantryController::class, "save{$one}"]);
            Route::delete("{$path}/{{$parameter}}", [PantryController::class, "remove{$one}"]);
        }
        Route::get('amounts', [AmountController::class, 'read']);
        Route::put('weighed-measures', [AmountController::class, 'weigh']);
        Route::get('find', SearchController::class);
        Route::get('kitchen/file', [KitchenFileController::class, 'show']);
        Route::post('kitchen/file', [KitchenFileController::class, 'bring']);
        Route::post('kitchen/file/parts', [KitchenFileController::class, 'announce'])->withoutMiddleware('once');
        Route::put('kitchen/file/parts/{file}/{part}', [KitchenFileController::class, 'part'])->withoutMiddleware(
            'once',
        );
        Route::get('pantry', [PantryController::class, 'foods']);
        Route::get('foods', [PantryController::class, 'searchFoods']);
        Route::get('foods/csv', [PantryController::class, 'foodsCsv']);
        Route::post('foods/{food}/restoration', [PantryController::class, 'restoreFood']);
        Route::put('salts/{salt}/calibration', [PantryController::class, 'calibrate']);
        Route::delete('salts/{salt}/calibration', [PantryController::class, 'forgetCalibration']);
        Route::get('formulas', [FormulaController::class, 'index']);
        Route::post('formulas', [FormulaController::class, 'store']);
        Route::post('formulas/compute', [FormulaController::class, 'compute'])->withoutMiddleware('once');
        Route::post('formulas/preview', [FormulaController::class, 'preview'])->withoutMiddleware('once');
        Route::post('formulas/import', [FormulaController::class, 'bring']);
        Route::get('formulas/export', [FormulaController::class, 'export']);
        Route::get('formulas/{formula}', [FormulaController::class, 'show']);
        Route::get('formulas/{formula}/savings', [SavingController::class, 'ofFormula']);
        Route::put('formulas/{formula}', [FormulaController::class, 'update']);
        Route::put('formulas/{formula}/archive', [FormulaController::class, 'archive']);
        Route::post('formulas/{formula}/batches', [FormulaController::class, 'start']);
        Route::get('labels', [LabelController::class, 'index']);
        Route::get('labels/pdf', [LabelController::class, 'pdf']);
        Route::get('lineage', [LedgerController::class, 'lineage']);
        Route::get('days/{date}', DayController::class);
        Route::get('weeks/{date}', [WeekController::class, 'show']);
        Route::post('weeks/{date}/changes', [WeekController::class, 'change']);
        foreach (['fill', 'clear', 'copy', 'undo', 'redo'] as $step) {
            Route::post("weeks/{date}/{$step}", [WeekController::class, $step]);
        }
        Route::post('weeks/{date}/plans/{planning}', [WeekController::class, 'plan']);
        Route::get('plans/{planning}', [WeekController::class, 'told']);
        Route::post('plans/{planning}/stop', [WeekController::class, 'stop']);
        Route::get('first-week', [FirstWeekController::class, 'show']);
        Route::post('first-week', [FirstWeekController::class, 'begin']);
        Route::get('timeline', [TimelineController::class, 'show']);
        Route::get('timeline/shopping', [TimelineController::class, 'shopping']);
        Route::post('timeline/batches', [TimelineController::class, 'plan']);
        Route::delete('timeline/batches/{plannedBatch}', [TimelineController::class, 'cancel']);
        Route::get('rotation', [WeekController::class, 'rotation']);
        Route::put('rotation', [WeekController::class, 'keepRotation']);
        Route::get('intake', [IntakeController::class, 'show']);
        Route::get('intake/export', [IntakeController::class, 'export']);
        Route::post('intake/preview', [IntakeController::class, 'preview'])->withoutMiddleware('once');
        Route::post('intake/import', [IntakeController::class, 'bring']);
        Route::get('other-foods', [OtherFoodController::class, 'known']);
        Route::post('other-foods', [OtherFoodController::class, 'store']);
        Route::post('other-foods/again', [OtherFoodController::class, 'again']);
        Route::put('other-foods/{otherFood}', [OtherFoodController::class, 'change']);
        Route::delete('other-foods/{otherFood}', [OtherFoodController::class, 'destroy']);
        Route::post('servings', [ServingController::class, 'store']);
        Route::post('dishes', [ServingController::class, 'dish']);
        Route::put('servings/{serving}', [ServingController::class, 'change']);
        Route::put('servings/{serving}/dish', [ServingController::class, 'changeDish']);
        Route::delete('servings/{serving}', [ServingController::class, 'destroy']);
    });

    Route::any('{any}', static fn() => abort(404))->where('any', '.*');
});

Route::get('calendar/{secret}.ics', [CalendarController::class, 'feed'])
    ->where('secret', '[A-Za-z0-9]{48}')
    ->middleware('throttle:60,1');

Route::get('health', HealthController::class)->withoutMiddleware('web');
Route::get('metrics', MetricsController::class)->withoutMiddleware('web');
Route::get('sw.js', [ScreenController::class, 'worker']);
Route::get('{any}', ScreenController::class)->where('any', '.*');
