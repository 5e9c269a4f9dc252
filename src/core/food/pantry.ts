/**
 * Generic foods, one a line. The figures are middle ones of usual food composition tables for such a food as it is carried; a rider's own label
 * comes before them. Columns, with bars between:
 *
 * name | slots | g a portion | kJ per 100 g | carbohydrate g per 100 g | protein g per 100 g | g per ml packed | boiled water a portion, ml |
 * days it keeps at 20 °C | diet: vegan, vegetarian, fish, meat | allergens | traits | price of a portion, in the price of a loaf of bread
 *
 * Slots: b breakfast, r riding, l lunch, d dinner, k drinks, s a spare meal. Traits: crush, soft, tin, fresh; a side goes with a
 * meal and is none by itself.
 */
const TABLE = `
Rolled oats | b | 80 | 1560 | 60 | 13 | 0.45 | 250 | 300 | vegan | gluten | soft | 0.2
Instant porridge with fruit | b | 65 | 1600 | 66 | 10 | 0.5 | 200 | 200 | vegetarian | gluten,milk | soft | 0.5
Overnight oats with seeds | bs | 100 | 1700 | 52 | 14 | 0.55 | 0 | 100 | vegan | gluten | soft | 0.5
Muesli | bs | 90 | 1530 | 62 | 10 | 0.45 | 0 | 200 | vegan | gluten,nuts | soft | 0.4
Granola | bs | 80 | 1900 | 62 | 9 | 0.4 | 0 | 150 | vegetarian | gluten,nuts | soft | 0.5
Muesli with milk powder | bs | 110 | 1750 | 55 | 15 | 0.5 | 0 | 100 | vegetarian | gluten,milk,nuts | soft | 0.6
Corn flakes with milk powder | b | 80 | 1650 | 75 | 12 | 0.2 | 0 | 100 | vegetarian | milk | crush | 0.5
Rice pudding powder | bd | 90 | 1650 | 78 | 8 | 0.7 | 350 | 200 | vegetarian | milk | soft | 0.5
Semolina with milk powder | b | 80 | 1560 | 70 | 14 | 0.7 | 350 | 200 | vegetarian | gluten,milk | soft | 0.4
Pancake mix | b | 100 | 1500 | 70 | 11 | 0.6 | 0 | 150 | vegetarian | gluten,milk,egg | soft | 0.5
Chia and coconut breakfast | bs | 70 | 2000 | 30 | 14 | 0.6 | 0 | 150 | vegan | | soft | 0.9
Millet porridge | b | 80 | 1580 | 70 | 11 | 0.7 | 300 | 200 | vegan | | soft | 0.4
Buckwheat porridge | b | 80 | 1450 | 70 | 12 | 0.7 | 300 | 200 | vegan | | soft | 0.4
Scrambled egg powder | b | 50 | 2350 | 5 | 47 | 0.5 | 60 | 150 | vegetarian | egg | soft side | 1.2
Crispbread with nut butter | bls | 80 | 2000 | 45 | 15 | 0.5 | 0 | 60 | vegan | gluten,nuts | crush | 0.6
Oat bar | r | 55 | 1850 | 60 | 8 | 0.7 | 0 | 120 | vegan | gluten | | 0.5
Nut bar | r | 45 | 2150 | 38 | 15 | 0.7 | 0 | 150 | vegetarian | nuts | | 0.6
Fruit bar | r | 40 | 1450 | 75 | 3 | 0.8 | 0 | 150 | vegan | | | 0.5
Date bar | r | 45 | 1600 | 60 | 8 | 0.8 | 0 | 150 | vegan | nuts | | 0.6
Muesli bar | r | 30 | 1800 | 65 | 6 | 0.5 | 0 | 150 | vegetarian | gluten,nuts | | 0.3
Protein bar | r | 60 | 1600 | 40 | 33 | 0.9 | 0 | 150 | vegetarian | milk,soy | | 1
Flapjack | r | 70 | 1900 | 58 | 6 | 0.8 | 0 | 30 | vegetarian | gluten,milk | | 0.6
Rice cake, home made | r | 75 | 800 | 38 | 3 | 0.9 | 0 | 1 | vegan | | fresh | 0.3
Malt loaf | r | 60 | 1250 | 64 | 8 | 0.7 | 0 | 14 | vegan | gluten | soft | 0.3
Fig rolls | r | 45 | 1550 | 68 | 4 | 0.6 | 0 | 90 | vegan | gluten | crush | 0.3
Ginger biscuits | r | 40 | 1900 | 73 | 5 | 0.5 | 0 | 120 | vegetarian | gluten | crush | 0.2
Shortbread | r | 50 | 2150 | 60 | 6 | 0.6 | 0 | 90 | vegetarian | gluten,milk | crush | 0.4
Oat biscuits | r | 45 | 1950 | 63 | 7 | 0.5 | 0 | 120 | vegetarian | gluten | crush | 0.3
Honey waffle | r | 35 | 1850 | 65 | 4 | 0.5 | 0 | 60 | vegetarian | gluten,milk,egg | crush | 0.4
Salted crackers | rl | 40 | 1900 | 65 | 9 | 0.3 | 0 | 120 | vegan | gluten | crush | 0.3
Pretzels | r | 50 | 1650 | 75 | 10 | 0.25 | 0 | 120 | vegan | gluten | crush | 0.3
Crisps | r | 50 | 2250 | 50 | 6 | 0.12 | 0 | 60 | vegan | | crush | 0.4
Corn nuts | r | 50 | 1850 | 68 | 8 | 0.5 | 0 | 150 | vegan | | soft | 0.4
Mixed nuts | rls | 50 | 2550 | 12 | 20 | 0.6 | 0 | 150 | vegan | nuts | soft side | 0.7
Salted peanuts | rs | 50 | 2500 | 12 | 26 | 0.6 | 0 | 150 | vegan | peanuts | soft | 0.3
Almonds | rs | 40 | 2450 | 9 | 21 | 0.6 | 0 | 200 | vegan | nuts | soft | 0.6
Cashews | rs | 40 | 2400 | 27 | 18 | 0.6 | 0 | 200 | vegan | nuts | soft | 0.8
Walnuts | rs | 40 | 2750 | 11 | 15 | 0.45 | 0 | 120 | vegan | nuts | soft | 0.7
Sunflower and pumpkin seeds | rs | 40 | 2400 | 15 | 25 | 0.6 | 0 | 200 | vegan | | soft | 0.4
Trail mix | rs | 60 | 2000 | 42 | 12 | 0.6 | 0 | 150 | vegan | nuts | soft | 0.6
Nuts and chocolate mix | r | 60 | 2250 | 40 | 13 | 0.65 | 0 | 90 | vegetarian | nuts,milk | soft | 0.7
Raisins | r | 50 | 1270 | 69 | 3 | 0.7 | 0 | 300 | vegan | | soft | 0.3
Dates | r | 60 | 1180 | 65 | 2 | 0.8 | 0 | 200 | vegan | | soft | 0.5
Dried apricots | r | 50 | 1050 | 53 | 4 | 0.7 | 0 | 200 | vegan | | soft | 0.5
Dried mango | r | 50 | 1350 | 75 | 3 | 0.5 | 0 | 200 | vegan | | soft | 0.9
Dried apple rings | r | 40 | 1100 | 60 | 2 | 0.25 | 0 | 200 | vegan | | soft | 0.6
Dried figs | r | 50 | 1100 | 55 | 3 | 0.8 | 0 | 200 | vegan | | soft | 0.5
Banana chips | r | 40 | 2150 | 58 | 2 | 0.4 | 0 | 200 | vegan | | crush | 0.3
Banana | r | 120 | 390 | 21 | 1 | 0.8 | 0 | 3 | vegan | | fresh | 0.2
Apple | r | 160 | 220 | 12 | 0 | 0.75 | 0 | 10 | vegan | | fresh | 0.3
Fruit purée pouch | r | 90 | 300 | 16 | 1 | 0.9 | 0 | 200 | vegan | | | 0.5
Energy chews | r | 45 | 1400 | 80 | 0 | 0.9 | 0 | 300 | vegan | | soft | 1
Fruit gums | r | 50 | 1430 | 78 | 6 | 0.8 | 0 | 300 | meat | | soft | 0.4
Boiled sweets | r | 30 | 1650 | 97 | 0 | 0.8 | 0 | 365 | vegan | | soft | 0.2
Energy gel | r | 40 | 1050 | 62 | 0 | 1 | 0 | 300 | vegan | | | 1
Honey sachets | rb | 30 | 1350 | 80 | 0 | 1.2 | 0 | 365 | vegetarian |  | soft side | 0.4
Marzipan | r | 40 | 1950 | 55 | 9 | 1.1 | 0 | 90 | vegan | nuts | | 0.6
Halva | r | 50 | 2200 | 45 | 13 | 1 | 0 | 120 | vegan | sesame | | 0.6
Nougat | r | 40 | 1700 | 75 | 5 | 1 | 0 | 120 | vegetarian | nuts,egg | | 0.6
Dark chocolate | r | 40 | 2400 | 33 | 9 | 1.1 | 0 | 180 | vegan | soy | crush | 0.6
Milk chocolate | r | 40 | 2250 | 56 | 7 | 1.1 | 0 | 120 | vegetarian | milk | crush | 0.5
Chocolate caramel bar | r | 50 | 2000 | 62 | 5 | 1 | 0 | 120 | vegetarian | milk,gluten | | 0.4
Peanut butter cups | r | 40 | 2150 | 50 | 10 | 1 | 0 | 120 | vegetarian | peanuts,milk | | 0.5
Croissant | rb | 60 | 1700 | 45 | 8 | 0.2 | 0 | 2 | vegetarian | gluten,milk,egg | crush fresh side | 0.6
Cinnamon bun | rb | 90 | 1500 | 50 | 7 | 0.3 | 0 | 2 | vegetarian | gluten,milk,egg | crush fresh | 0.8
Fruit cake | r | 80 | 1500 | 57 | 5 | 0.7 | 0 | 30 | vegetarian | gluten,egg | soft | 0.6
Nut roll from a bakery | r | 90 | 1650 | 45 | 9 | 0.4 | 0 | 3 | vegetarian | gluten,nuts,egg | crush fresh | 0.9
Wheat bread | l | 120 | 1050 | 48 | 9 | 0.25 | 0 | 4 | vegan | gluten | crush | 0.3
Rye bread, dense | l | 120 | 850 | 40 | 6 | 0.7 | 0 | 12 | vegan | gluten | soft | 0.4
Flatbread | l | 110 | 1200 | 52 | 9 | 0.5 | 0 | 8 | vegan | gluten | soft | 0.4
Tortilla wraps | l | 120 | 1300 | 52 | 8 | 0.6 | 0 | 30 | vegan | gluten | soft | 0.5
Bagels | l | 100 | 1150 | 52 | 10 | 0.4 | 0 | 6 | vegan | gluten | crush | 0.6
Pitta bread | l | 110 | 1150 | 53 | 9 | 0.35 | 0 | 7 | vegan | gluten | soft | 0.4
Crispbread | l | 50 | 1450 | 66 | 10 | 0.25 | 0 | 200 | vegan | gluten | crush | 0.2
Rice cakes | l | 40 | 1600 | 80 | 8 | 0.1 | 0 | 150 | vegan | | crush | 0.3
Sandwich, cheese | l | 180 | 1100 | 30 | 12 | 0.4 | 0 | 1 | vegetarian | gluten,milk | crush fresh | 1.2
Sandwich, ham | l | 180 | 1000 | 30 | 12 | 0.4 | 0 | 1 | meat | gluten | crush fresh | 1.2
Filled roll from a bakery | l | 160 | 1050 | 35 | 11 | 0.35 | 0 | 1 | vegetarian | gluten,milk | crush fresh | 1.5
Hard cheese | l | 60 | 1650 | 0 | 25 | 1 | 0 | 8 | vegetarian | milk | side | 0.9
Cheese portions, foil | l | 40 | 1000 | 5 | 10 | 1 | 0 | 20 | vegetarian | milk | side | 0.5
Smoked cheese | l | 50 | 1400 | 1 | 22 | 1 | 0 | 14 | vegetarian | milk | side | 0.9
Salami | l | 50 | 1850 | 1 | 22 | 0.9 | 0 | 14 | meat |  | side | 1
Dried beef | rl | 40 | 1100 | 6 | 45 | 0.5 | 0 | 90 | meat |  | soft side | 2
Ham, vacuum packed | l | 60 | 600 | 1 | 20 | 0.9 | 0 | 2 | meat |  | fresh side | 0.8
Tuna pouch | ld | 80 | 480 | 0 | 25 | 0.9 | 0 | 365 | fish | fish | soft side | 1.2
Sardines, tin | ls | 120 | 900 | 0 | 20 | 0.7 | 0 | 365 | fish | fish | tin side | 1
Mackerel, tin | ls | 125 | 950 | 1 | 17 | 0.7 | 0 | 365 | fish | fish | tin side | 1
Salmon pouch | ld | 90 | 650 | 0 | 22 | 0.9 | 0 | 365 | fish | fish | soft side | 2
Boiled egg | l | 55 | 600 | 1 | 13 | 0.7 | 0 | 4 | vegetarian | egg | fresh side | 0.3
Hummus | l | 70 | 1150 | 12 | 7 | 1 | 0 | 2 | vegan | sesame | fresh side | 0.6
Bean spread, tube | l | 50 | 800 | 12 | 7 | 1 | 0 | 200 | vegan |  | soft side | 0.5
Peanut butter | lbs | 40 | 2550 | 13 | 25 | 1.05 | 0 | 200 | vegan | peanuts | soft side | 0.4
Almond butter | lbs | 40 | 2600 | 10 | 21 | 1.05 | 0 | 200 | vegan | nuts | soft side | 0.9
Hazelnut chocolate spread | lb | 40 | 2250 | 57 | 6 | 1.1 | 0 | 150 | vegetarian | nuts,milk | soft side | 0.4
Jam, tube | lb | 40 | 1050 | 60 | 0 | 1.2 | 0 | 200 | vegan |  | soft side | 0.3
Olives | l | 50 | 650 | 4 | 1 | 0.9 | 0 | 60 | vegan |  | soft side | 0.6
Sun-dried tomatoes | ld | 30 | 1000 | 40 | 12 | 0.5 | 0 | 150 | vegan |  | soft side | 0.7
Carrots | l | 100 | 170 | 8 | 1 | 0.8 | 0 | 7 | vegan |  | fresh side | 0.2
Cherry tomatoes | l | 120 | 80 | 4 | 1 | 0.65 | 0 | 4 | vegan |  | crush fresh side | 0.5
Cucumber | l | 150 | 60 | 3 | 1 | 0.8 | 0 | 5 | vegan |  | fresh side | 0.3
Couscous lunch pot, cold soaked | lds | 110 | 1500 | 68 | 12 | 0.7 | 0 | 150 | vegan | gluten | soft | 0.6
Cold bean salad pouch | lds | 200 | 500 | 14 | 6 | 0.95 | 0 | 300 | vegan | | soft | 1
Lentil salad pouch | lds | 200 | 600 | 18 | 9 | 0.95 | 0 | 300 | vegan | | soft | 1.1
Ready rice pouch | ld | 220 | 650 | 31 | 3 | 0.95 | 100 | 300 | vegan | | soft | 0.8
Dried pasta meal | d | 130 | 1600 | 60 | 15 | 0.4 | 400 | 365 | vegetarian | gluten,milk | soft | 3
Dried chilli with beans | d | 130 | 1650 | 52 | 20 | 0.4 | 400 | 365 | vegan | | soft | 3
Dried chicken curry with rice | d | 130 | 1700 | 58 | 20 | 0.4 | 400 | 365 | meat | milk | soft | 3.5
Dried beef stew | d | 125 | 1750 | 45 | 24 | 0.4 | 400 | 365 | meat | gluten | soft | 3.5
Dried lentil dal with rice | d | 130 | 1600 | 62 | 17 | 0.45 | 400 | 365 | vegan | | soft | 2.8
Dried vegetable couscous | d | 120 | 1550 | 62 | 13 | 0.45 | 350 | 365 | vegan | gluten | soft | 2.8
Dried fish and potato | d | 120 | 1700 | 48 | 20 | 0.4 | 400 | 365 | fish | fish,milk | soft | 3.5
Dried mushroom risotto | d | 125 | 1650 | 66 | 11 | 0.45 | 400 | 365 | vegetarian | milk | soft | 3
Dried noodle stir-fry | d | 120 | 1650 | 60 | 15 | 0.4 | 400 | 365 | vegan | gluten,soy | soft | 2.8
Dried shepherd's pie | d | 125 | 1700 | 50 | 18 | 0.4 | 400 | 365 | meat | milk | soft | 3.3
Instant noodles | d | 90 | 1900 | 62 | 10 | 0.35 | 450 | 300 | vegan | gluten,soy | crush | 0.3
Rice noodles with peanut sauce | d | 110 | 1800 | 65 | 10 | 0.5 | 400 | 200 | vegan | peanuts,soy | soft | 0.9
Pasta with pesto | d | 150 | 1800 | 58 | 13 | 0.55 | 900 | 60 | vegetarian | gluten,milk,nuts | soft | 0.8
Quick pasta with tomato | d | 140 | 1500 | 66 | 13 | 0.5 | 900 | 200 | vegan | gluten | soft | 0.6
Couscous with dried vegetables | d | 120 | 1500 | 68 | 12 | 0.75 | 250 | 300 | vegan | gluten | soft | 0.5
Couscous with cheese and nuts | d | 140 | 1850 | 50 | 18 | 0.75 | 250 | 20 | vegetarian | gluten,milk,nuts | soft | 0.9
Bulgur with lentils | d | 130 | 1450 | 62 | 17 | 0.75 | 500 | 300 | vegan | gluten | soft | 0.5
Polenta with cheese | d | 120 | 1650 | 62 | 14 | 0.75 | 500 | 20 | vegetarian | milk | soft | 0.6
Instant mash with cheese | d | 110 | 1700 | 58 | 14 | 0.45 | 450 | 20 | vegetarian | milk | soft | 0.6
Instant mash with tuna | d | 160 | 1150 | 35 | 18 | 0.6 | 400 | 300 | fish | fish,milk | soft | 1.4
Instant rice with soy mince | d | 130 | 1500 | 62 | 22 | 0.55 | 450 | 300 | vegan | soy | soft | 0.9
Red lentil soup with bread crumbs | d | 110 | 1500 | 56 | 21 | 0.7 | 600 | 200 | vegan | gluten | soft | 0.5
Pea soup powder with sausage | d | 140 | 1600 | 35 | 23 | 0.6 | 500 | 14 | meat | | soft | 1
Gnocchi with butter | d | 250 | 800 | 34 | 5 | 0.8 | 600 | 10 | vegetarian | gluten,milk | soft | 0.9
Tortellini, dry | d | 150 | 1650 | 58 | 14 | 0.45 | 900 | 200 | vegetarian | gluten,milk,egg | soft | 0.9
Beans in tomato, tin | d | 400 | 350 | 13 | 5 | 0.85 | 0 | 365 | vegan | | tin | 0.6
Chilli, tin | d | 400 | 450 | 10 | 8 | 0.85 | 0 | 365 | meat | | tin | 1.3
Ravioli, tin | d | 400 | 400 | 15 | 4 | 0.85 | 0 | 365 | meat | gluten | tin | 1
Wraps with beans and cheese | d | 220 | 1100 | 30 | 12 | 0.6 | 0 | 8 | vegetarian | gluten,milk | soft | 1.2
Wraps with peanut butter and banana chips | ds | 180 | 1750 | 45 | 14 | 0.6 | 0 | 30 | vegan | gluten,peanuts | soft | 0.9
Bread, cheese and sausage supper | d | 260 | 1300 | 25 | 17 | 0.45 | 0 | 4 | meat | gluten,milk | soft | 2
Bread, hummus and olives supper | d | 280 | 950 | 28 | 7 | 0.45 | 0 | 2 | vegan | gluten,sesame | soft | 1.6
Cold soaked ramen with peanut butter | ds | 130 | 2050 | 48 | 15 | 0.5 | 0 | 200 | vegan | gluten,peanuts,soy | soft | 0.7
Instant soup | k | 20 | 1400 | 55 | 9 | 0.6 | 200 | 365 | vegan | gluten | soft | 0.3
Stock cube drink | k | 5 | 900 | 20 | 12 | 1 | 200 | 365 | vegan | | soft | 0.1
Hot chocolate | k | 30 | 1650 | 75 | 8 | 0.7 | 200 | 300 | vegetarian | milk | soft | 0.3
Instant coffee | k | 3 | 400 | 10 | 8 | 0.35 | 200 | 365 | vegan | | soft | 0.1
Coffee with milk powder | k | 14 | 1750 | 55 | 12 | 0.45 | 200 | 300 | vegetarian | milk | soft | 0.2
Ground coffee | k | 12 | 0 | 0 | 0 | 0.4 | 250 | 120 | vegan | | soft | 0.2
Tea bag | k | 2 | 0 | 0 | 0 | 0.3 | 250 | 365 | vegan | | soft | 0.1
Tea with sugar | k | 12 | 1400 | 83 | 0 | 0.7 | 250 | 365 | vegan | | soft | 0.1
Milk powder | kb | 25 | 2050 | 39 | 26 | 0.5 | 0 | 200 | vegetarian | milk | soft side | 0.3
Isotonic drink powder | kr | 35 | 1600 | 92 | 0 | 0.8 | 0 | 365 | vegan | | soft | 0.6
Maltodextrin powder | kr | 50 | 1600 | 95 | 0 | 0.6 | 0 | 365 | vegan | | soft | 0.4
Recovery drink powder | k | 50 | 1600 | 60 | 28 | 0.6 | 0 | 365 | vegetarian | milk | soft | 1
Electrolyte tablet | k | 4 | 500 | 25 | 0 | 0.9 | 0 | 365 | vegan | | | 0.3
Custard powder | d | 35 | 1550 | 88 | 1 | 0.7 | 200 | 300 | vegetarian | milk | soft side | 0.3
Olive oil sachets | d | 15 | 3700 | 0 | 0 | 0.9 | 0 | 365 | vegan |  | soft side | 0.2
`;

export const SLOTS = ['breakfast', 'riding', 'lunch', 'dinner', 'drinks', 'spare'] as const;
export type Slot = (typeof SLOTS)[number];
export const SLOT_WORDS: Record<Slot, string> = {
  breakfast: 'Breakfast',
  riding: 'On the bike',
  lunch: 'Lunch',
  dinner: 'Dinner',
  drinks: 'Drinks',
  spare: 'In reserve',
};
export const DIETS = ['anything', 'no meat', 'vegetarian', 'vegan'] as const;
export type Diet = (typeof DIETS)[number];
export const ALLERGENS = ['gluten', 'milk', 'egg', 'nuts', 'peanuts', 'soy', 'sesame', 'fish'] as const;
export type Allergen = (typeof ALLERGENS)[number];

type Origin = 'vegan' | 'vegetarian' | 'fish' | 'meat';

export interface Food {
  id: string;
  name: string;
  slots: readonly Slot[];
  /** Of one portion, without wrapping. */
  massG: number;
  kJPer100G: number;
  carbPer100G: number;
  proteinPer100G: number;
  volumeMl: number;
  boilMl: number;
  /** At 20 °C. */
  keepsDays: number;
  origin: Origin;
  allergens: readonly Allergen[];
  /** Poured from one bag; the others are counted in pieces. */
  isLoose: boolean;
  isCrushable: boolean;
  /** Goes with a meal, and is none by itself. */
  isSide: boolean;
  /** In loaves of bread, so that foods can be compared wherever the rider shops. */
  price: number;
}

const OF_LETTER: Readonly<Record<string, Slot>> = {
  b: 'breakfast',
  r: 'riding',
  l: 'lunch',
  d: 'dinner',
  k: 'drinks',
  s: 'spare',
};

const idOf = (name: string) => `food-${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`;

export const PANTRY: readonly Food[] = TABLE.trim()
  .split('\n')
  .map((line): Food => {
    const cells = line.split('|').map((cell) => cell.trim());
    const [name, slots, massG, kJ, carb, protein, density, boil, keeps, origin, allergens, traits, price] =
      cells as [string, ...string[]];
    return {
      id: idOf(name),
      name,
      slots: [...slots!].map((letter) => OF_LETTER[letter]!),
      massG: Number(massG),
      kJPer100G: Number(kJ),
      carbPer100G: Number(carb),
      proteinPer100G: Number(protein),
      volumeMl: Math.round(Number(massG) / Number(density)),
      boilMl: Number(boil),
      keepsDays: Number(keeps),
      origin: origin as Origin,
      allergens: allergens!.split(',').filter(Boolean) as Allergen[],
      isLoose: traits!.includes('soft'),
      isCrushable: traits!.includes('crush'),
      isSide: traits!.includes('side'),
      price: Number(price),
    };
  });

const byId = new Map(PANTRY.map((food) => [food.id, food]));
/** @example pantryFood('food-oat-bar')?.kJPer100G // 1850 */
export const pantryFood = (id: string | null): Food | undefined => (id === null ? undefined : byId.get(id));

/** What each diet leaves out. */
const LEFT_OUT: Record<Diet, readonly Origin[]> = {
  anything: [],
  'no meat': ['meat'],
  vegetarian: ['meat', 'fish'],
  vegan: ['meat', 'fish', 'vegetarian'],
};

/** Whether a rider of this diet, who must avoid these allergens, may eat a food. */
export const maySuit = (
  { origin, allergens }: Pick<Food, 'origin' | 'allergens'>,
  diet: Diet,
  avoided: readonly Allergen[],
): boolean => !LEFT_OUT[diet].includes(origin) && !allergens.some((allergen) => avoided.includes(allergen));
