/**
 * Kinds of things that riders carry, with figures of a middle one of each. One block per family:
 *
 *     = name | other words for it | system | needed when | how much | must stay dry | traits | purposes | packed inside | basis
 *     size | mass of one in g, and the half-width of its range in % | packed volume of one in ml, and its range | form
 *
 * A size is a number with a unit (l, ml, g, mAh, people, °C, in) or words, and is matched with what the rider types; the one
 * with a star is taken where no size is said, `-` where there is only one. A form is `soft 1.6` (loose volume over packed) or a shape with its sides in millimetres,
 * whose volume is then `=`. Ranges hold for about nineteen of twenty things that go by that name.
 */
export const KIND_TABLE = `
= Tent | tent; dome tent; tunnel tent; bikepacking tent; trekking tent; tent with poles; inner and fly | shelter | camp | must | no | wet | shelter | | poles, pegs and bag included; catalogue masses by people and build
1 people light | 950 20 | 4200 25 | soft 1.5
1 people | 1500 25 | 5500 25 | soft 1.5
2 people light | 1300 20 | 5200 25 | soft 1.5
*2 people | 2000 25 | 7000 25 | soft 1.5
3 people | 2800 25 | 9500 25 | soft 1.5
4 people | 3900 25 | 13000 25 | soft 1.5
= Tent inner and fly | tent body; tent fabric; tent without poles; flysheet; fly sheet; rainfly; inner tent | shelter | camp | must | no | wet | shelter | | two thirds of a tent's mass is fabric
*- | 1100 35 | 3300 30 | soft 1.6
= Tent poles | poles; pole set; tentpoles; tent pole | shelter | camp | must | no | | shelter | | sections of 38 to 48 cm
*- | 400 35 | = 30 | long 440x55
= Tent pegs | pegs; stakes; tent stakes; tent peg; peg bag | shelter | camp | must | no | sharp,dirty | shelter | | 10 to 18 g each, in a bag of eight
*- | 110 40 | = 35 | long 190x40
= Footprint | ground sheet; groundsheet; tent footprint; ground cloth; groundcloth; tarp floor | shelter | camp | should | no | wet,dirty | | | by area, 60 to 90 g/m²
*- | 180 40 | 450 40 | soft 1.5
= Tarp | tarp; flat tarp; rain tarp; fly tarp; tarpaulin | shelter | camp | must | no | wet | shelter | | 3 by 3 m of light fabric, with lines
light | 350 30 | 1100 30 | soft 1.5
*- | 550 40 | 1700 35 | soft 1.5
= Bivvy bag | bivvy; bivi; bivy; bivouac bag; bivi bag; bivy sack; bivvy sack | shelter | camp | must | no | wet | shelter | | from light membranes to heavy ones
light | 280 30 | 900 30 | soft 1.5
*- | 550 40 | 1600 35 | soft 1.5
= Hammock | hammock; camping hammock; hammock with straps; hammock suspension | shelter | camp | must | no | wet | shelter | | with straps
*- | 650 35 | 2300 35 | soft 1.5
= Bug net | mosquito net; bug net; insect net; midge net; mesh inner; head net; mosquito headnet | shelter | camp | nice | no | | insects | | head nets to half inners
*- | 60 60 | 160 60 | soft 1.6
= Guy lines | guy lines; guylines; cord; paracord; guy rope; rope; tent cord; line | shelter | camp | should | no | | | | 4 to 8 m of 2 mm cord
*- | 40 50 | 80 50 | soft 1.3
= Sleeping bag | sleeping bag; down bag; down sleeping bag; sleepingbag; synthetic sleeping bag; mummy bag; bag for sleeping | sleep | camp | must | must | | sleep warm | | down, by comfort temperature; a synthetic one is a third heavier and bulkier
10 °C | 550 30 | 3200 30 | soft 2.2
5 °C | 750 25 | 4300 30 | soft 2.2
*0 °C | 950 25 | 5600 30 | soft 2.2
-5 °C | 1150 25 | 7000 30 | soft 2.2
-10 °C | 1400 25 | 8800 30 | soft 2.2
-15 °C | 1650 25 | 11000 30 | soft 2.2
= Quilt | quilt; down quilt; sleeping quilt; top quilt; backpacking quilt | sleep | camp | must | must | | sleep warm | | down, by comfort temperature
10 °C | 420 25 | 2500 30 | soft 2.2
5 °C | 560 25 | 3400 30 | soft 2.2
*0 °C | 700 25 | 4300 30 | soft 2.2
-5 °C | 850 25 | 5400 30 | soft 2.2
-10 °C | 1000 25 | 6800 30 | soft 2.2
= Sleeping bag liner | liner; silk liner; sleeping bag liner; inner sheet; sheet sleeping bag; fleece liner | sleep | camp | nice | must | | sleep warmer | sleeping bag | silk 110 g to cotton 300 g
*- | 140 45 | 350 45 | soft 1.5
= Inflatable mat | sleeping mat; air mat; inflatable mat; sleeping pad; air pad; mattress; air mattress; camping mat; mat; pad; airbed; sleep mat | sleep | camp | must | no | inflatable | insulate from the ground | | from short summer mats to winter ones
light | 380 25 | 1000 30 | soft 1.2
*- | 520 30 | 1600 30 | soft 1.2
winter | 680 25 | 2200 30 | soft 1.2
= Foam mat | foam mat; closed cell foam; folding foam mat; foam pad; ccf pad; roll mat; rollmat; z mat | sleep | camp | must | no | | insulate from the ground | | rolled or folded, outside the bags
*- | 410 25 | = 25 | cyl 510x140
= Self-inflating mat | self inflating mat; self inflating pad; self-inflating mattress | sleep | camp | must | no | inflatable | insulate from the ground | | with foam inside
*- | 800 30 | 3300 30 | soft 1.2
= Pillow | pillow; inflatable pillow; camping pillow; travel pillow; air pillow; cushion | sleep | camp | nice | rather | inflatable | | | 60 to 110 g inflatable
*- | 80 40 | 230 45 | soft 1.3
= Inflation sack | pump sack; inflation sack; inflation bag; pump bag; mat pump | sleep | camp | nice | no | | | | of thin coated fabric
*- | 60 40 | 150 45 | soft 1.5
= Quilt straps | quilt straps; pad straps; mat straps | sleep | camp | should | no | | | | elastic, two pieces
*- | 28 50 | 60 50 | soft 1.3
= Sleep mask | eye mask; sleep mask; ear plugs; earplugs; earplug | sleep | camp | nice | rather | | | | 10 to 25 g
*- | 18 50 | 50 60 | soft 1.3
= Hot water bottle | hot water bottle | sleep | camp | nice | no | | | | rubber, empty
*- | 250 40 | 500 40 | soft 1.3
= Insulated jacket | puffy; puffy jacket; down jacket; insulated jacket; puffer; puffer jacket; synthetic jacket; warm jacket; belay jacket; duvet jacket; insulation layer | clothes | camp | must | must | | warm at camp | | 250 g light down to 500 g synthetic
light | 260 25 | 1300 35 | soft 2
*- | 360 30 | 1900 35 | soft 2
= Insulated vest | down vest; insulated vest; puffy vest; gilet; bodywarmer | clothes | camp | nice | must | | warm at camp | | 150 to 260 g
*- | 200 35 | 1000 40 | soft 2
= Fleece | fleece; fleece jacket; midlayer; mid layer; sweater; jumper; pullover; hoodie; wool sweater | clothes | camp | should | rather | | warm at camp | | 220 to 450 g
*- | 320 35 | 1400 40 | soft 1.7
= Rain jacket | rain jacket; waterproof jacket; waterproof; hardshell; shell jacket; rain shell; rainjacket; raincoat; rain coat; cycling rain jacket | clothes | urgent | must | no | wet | keep rain off | | 150 g minimal to 400 g three-layer
light | 170 25 | 420 35 | soft 1.6
*- | 290 35 | 750 40 | soft 1.6
= Rain trousers | rain trousers; rain pants; waterproof trousers; overtrousers; waterproof pants; rainpants; rain overtrousers | clothes | urgent | should | no | wet | keep rain off | | 130 to 320 g
*- | 220 40 | 520 40 | soft 1.6
= Rain cape | poncho; cape; rain cape; rain poncho | clothes | urgent | nice | no | wet | keep rain off | | 200 to 400 g
*- | 280 40 | 700 40 | soft 1.5
= Wind jacket | wind jacket; windproof; windbreaker; wind shell; windshirt; wind shirt; windproof jacket; windjacket | clothes | urgent | should | rather | | keep wind off | | 70 to 160 g
*- | 110 40 | 270 45 | soft 1.6
= Wind vest | wind vest; cycling gilet; windproof gilet; wind gilet | clothes | urgent | nice | rather | | keep wind off | | 60 to 130 g
*- | 90 40 | 220 45 | soft 1.6
= Overshoes | overshoes; shoe covers; rain overshoes; booties; waterproof overshoes | clothes | urgent | nice | no | wet,dirty | keep feet dry | | pair
*- | 180 45 | 500 45 | soft 1.5
= Waterproof socks | waterproof socks; waterproof sock | clothes | stop | nice | no | wet | keep feet dry | | pair
*- | 130 35 | 330 40 | soft 1.4
= Base layer top | base layer; merino top; thermal top; long sleeve base layer; baselayer; thermal; wool base layer; merino shirt; long underwear top; sleep shirt; sleep top | clothes | camp | should | must | | sleep clothes | | 150 to 240 g
*- | 190 30 | 520 35 | soft 1.6
= Base layer bottoms | leggings; long johns; thermal leggings; merino leggings; thermal bottoms; sleep leggings; base layer bottoms; tights; long underwear | clothes | camp | should | must | | sleep clothes | | 140 to 230 g
*- | 180 30 | 470 35 | soft 1.6
= T-shirt | t-shirt; tshirt; tee; tee shirt; t shirt; merino t-shirt; spare shirt; shirt; cotton shirt; short sleeve shirt | clothes | camp | should | rather | | | | 110 to 220 g
*- | 150 35 | 420 40 | soft 1.6
= Cycling jersey | jersey; cycling jersey; bike jersey; riding jersey; cycling shirt; riding shirt; spare jersey; cycling top | clothes | camp | should | no | | ride clothes | | 130 to 220 g
*- | 170 35 | 430 40 | soft 1.6
= Cycling shorts | bib shorts; cycling shorts; bibs; padded shorts; bike shorts; bibshorts; riding shorts; liner shorts; chamois; spare bibs; padded liner | clothes | camp | should | no | | ride clothes | | 130 to 230 g, with pad
*- | 190 35 | 560 35 | soft 1.4
= Shorts | shorts; baggy shorts; baggies; casual shorts; swim shorts; swimming trunks; board shorts | clothes | camp | nice | no | | | | 120 to 280 g
*- | 190 40 | 500 40 | soft 1.5
= Trousers | trousers; long trousers; camp trousers; hiking trousers; pants; camp pants; chinos; jogging trousers; joggers; long pants; zip off trousers | clothes | camp | should | rather | | | | 220 to 450 g
*- | 320 35 | 950 40 | soft 1.5
= Insulated trousers | down trousers; down pants; puffy pants; insulated trousers | clothes | camp | nice | must | | warm at camp | | 250 to 450 g
*- | 330 35 | 1700 40 | soft 2
= Underwear | underwear; underpants; boxers; briefs; knickers; boxer shorts; panties; undies; pants underwear | clothes | camp | should | rather | | | | one piece, 40 to 90 g
*- | 60 40 | 150 45 | soft 1.5
= Bra | sports bra; bra | clothes | camp | should | rather | | | | 60 to 140 g
*- | 90 40 | 260 45 | soft 1.5
= Socks | socks; pair of socks; spare socks; wool socks; merino socks; riding socks; cycling socks; sock; pair socks | clothes | camp | should | rather | | | | one pair, 35 to 80 g
*- | 50 40 | 130 45 | soft 1.5
= Sleep socks | sleep socks; bed socks; warm socks; thick socks; down socks | clothes | camp | nice | must | | sleep clothes | | one pair
*- | 75 40 | 220 45 | soft 1.6
= Gloves, warm | winter gloves; warm gloves; full finger gloves; gloves; insulated gloves; thermal gloves; long gloves | clothes | stop | should | rather | | warm hands | | pair, 60 to 140 g
*- | 95 45 | 300 45 | soft 1.5
= Gloves, fingerless | cycling gloves; fingerless gloves; mitts; short finger gloves; bike gloves | clothes | riding | nice | no | | | | pair
*- | 55 40 | 160 45 | soft 1.4
= Gloves, rain | rain gloves; waterproof gloves; overmitts; rain mitts | clothes | urgent | nice | no | wet | keep hands dry | | pair
*- | 80 45 | 220 45 | soft 1.4
= Warm hat | beanie; hat; warm hat; wool hat; woolly hat; winter hat; fleece hat; bobble hat; toque | clothes | camp | should | rather | | warm head | | 40 to 90 g
*- | 60 40 | 190 45 | soft 1.6
= Cap | cap; cycling cap; sun hat; sunhat; baseball cap; brimmed hat; bucket hat | clothes | stop | nice | no | | shade | | 35 to 90 g
*- | 55 45 | 160 50 | soft 1.5
= Neck tube | neck tube; neck gaiter; neckwarmer; neck warmer; scarf; bandana; snood; multifunctional scarf | clothes | stop | nice | no | | | | 30 to 60 g
*- | 40 40 | 100 45 | soft 1.5
= Arm warmers | arm warmers; armwarmers; sleeves; sun sleeves; arm sleeves | clothes | stop | nice | no | | | | pair
*- | 80 40 | 200 45 | soft 1.5
= Leg warmers | leg warmers; legwarmers; knee warmers | clothes | stop | nice | no | | | | pair
*- | 150 40 | 370 45 | soft 1.5
= Camp shoes | camp shoes; sandals; flip flops; flipflops; flip-flops; slippers; camp sandals; thongs; light shoes; sliders; running shoes; trainers; sneakers | clothes | camp | nice | no | dirty | | | pair, from thin sandals to light trainers
*- | 380 45 | = 40 | box 270x110x100
= Down booties | down booties; down slippers; camp booties | clothes | camp | nice | must | | warm feet | | pair
*- | 130 45 | 700 45 | soft 1.8
= Helmet | helmet; bike helmet; cycling helmet | clothes | riding | must | no | | protect the head | | worn
*- | 320 25 | = 20 | box 300x220x160
= Cycling shoes | cycling shoes; bike shoes; riding shoes; spd shoes; shoes | clothes | riding | must | no | | | | worn, pair
*- | 800 30 | = 30 | box 300x200x110
= Sunglasses | sunglasses; glasses; cycling glasses; spare glasses; riding glasses; spectacles; reading glasses | clothes | riding | should | no | fragile | | | in a soft case
*- | 45 50 | = 50 | box 160x65x40
= Reflective vest | reflective vest; hi vis vest; hi-vis; high vis vest; safety vest; reflective band | clothes | stop | should | no | | be seen | | 50 to 130 g
*- | 90 45 | 250 45 | soft 1.4
= Belt | belt; webbing belt | clothes | camp | nice | no | | | | webbing
*- | 70 45 | 150 45 | soft 1.3
= Swimwear | swimwear; bikini; swimsuit; swimming costume; bathing suit; swim trunks; trunks | clothes | camp | nice | no | wet | | | 60 to 170 g
*- | 110 50 | 270 50 | soft 1.4
= Gas stove | stove; gas stove; canister stove; burner; gas burner; camping stove; backpacking stove; cooker; gas cooker | cook | camp | should | no | fragile | boil water | pot | screw-on burner with igniter
*- | 90 30 | = 35 | box 90x55x45
= Stove system | integrated stove; stove system; cooking system; boil system; integrated cooking system; heat exchanger stove | cook | camp | should | no | | boil water,cook in | | burner, pot and stand nested; without gas
*- | 420 25 | = 20 | cyl 180x105
= Alcohol stove | alcohol stove; spirit stove; meths stove; spirit burner; methylated spirit stove; ethanol stove | cook | camp | should | no | dirty | boil water | pot | 20 to 110 g
*- | 70 60 | = 50 | cyl 50x75
= Wood stove | wood stove; twig stove; wood burner; wood gas stove; hobo stove; titanium wood stove | cook | camp | nice | no | dirty | boil water | | folded or round
*- | 250 45 | = 45 | cyl 100x110
= Petrol stove | petrol stove; liquid fuel stove; multifuel stove; multi-fuel stove; gasoline stove; white gas stove | cook | camp | nice | no | liquid fuel,dirty | boil water | | with pump, without bottle
*- | 400 30 | 900 35 | soft 1.1
= Solid fuel stove | solid fuel stove; hexamine stove; tablet stove; pocket stove | cook | camp | nice | no | dirty | boil water | pot | folding
*- | 90 40 | = 40 | box 100x75x25
= Fuel tablets | fuel tablets; solid fuel; hexamine tablets; firelighters | cook | camp | nice | rather | fuel | fuel | | six to twelve tablets
*- | 90 50 | = 50 | box 90x75x25
= Gas canister | gas canister; canister; gas; gas cartridge; fuel canister; gas can; gas bottle; isobutane; butane; stove gas; camping gas; cartridge | cook | camp | should | no | fuel | fuel | pot | full; the can is two fifths of a small one
*100 g | 200 10 | = 8 | cyl 70x90
230 g | 380 10 | = 8 | cyl 95x110
450 g | 660 10 | = 8 | cyl 150x110
= Fuel bottle | fuel bottle; spirit bottle; meths bottle; alcohol bottle; alcohol fuel; methylated spirits; ethanol; denatured alcohol; meths; white gas; petrol bottle | cook | camp | should | no | liquid fuel | fuel | | full plastic or metal bottle
0.25 l | 250 25 | = 20 | cyl 150x60
*0.5 l | 480 20 | = 20 | cyl 180x75
1 l | 950 20 | = 20 | cyl 250x85
= Pot | pot; cooking pot; saucepan; titanium pot; cook pot; cookpot; pan; billy; kettle; pot with lid; mess tin | cook | camp | should | no | dirty | cook in | | titanium to aluminium, with lid
0.5 l | 90 35 | = 20 | cyl 90x95
0.75 l | 115 35 | = 20 | cyl 105x100
*0.9 l | 130 35 | = 20 | cyl 110x110
1.3 l | 170 35 | = 20 | cyl 115x130
2 l | 260 35 | = 20 | cyl 125x165
= Frying pan | frying pan; skillet; fry pan | cook | camp | nice | no | dirty | | | folding handle
*- | 220 40 | = 35 | flat 210x210x40
= Cook set | cook set; cookset; cooking set; cook kit; cooking kit; kitchen kit; cook system | cook | camp | should | no | dirty | cook in | | pot, stove, cup and cutlery nested, without gas
*- | 420 45 | = 35 | cyl 140x135
= Cup | mug; cup; camping mug; titanium mug; coffee mug; tin cup; enamel mug; folding cup; tea cup | cook | camp | should | no | | drink from | pot | 40 to 150 g
*- | 75 50 | = 35 | cyl 90x85
= Bowl | bowl; plate; folding bowl; dish; camping bowl; camp plate | cook | camp | nice | no | | eat from | | 40 to 130 g
*- | 80 50 | = 50 | cyl 60x135
= Spork | spork; spoon; fork; cutlery; long spoon; titanium spoon; knife and fork; eating utensils; utensils; long-handled spoon; eating kit; knife fork spoon | cook | camp | should | no | | eat with | pot | 9 to 60 g
*- | 20 60 | = 60 | long 200x20
= Lighter | lighter; mini lighter; matches; fire steel; firesteel; fire starter; matchbox; box of matches; ferro rod; storm matches | cook | camp | should | must | | make fire | pot | 10 to 35 g
*- | 18 50 | = 50 | box 70x25x14
= Windscreen | windscreen; wind shield; windshield; stove windshield; wind screen | cook | camp | nice | no | dirty | | | foil to folding plates
*- | 90 70 | = 60 | flat 240x90x10
= Pocket knife | knife; pocket knife; penknife; folding knife; camping knife; sheath knife; blade | cook | stop | should | no | sharp | cut | | 30 to 120 g
*- | 65 50 | = 45 | box 95x25x15
= Chopping board | chopping board; cutting board | cook | camp | nice | no | | | | thin plastic
*- | 60 50 | = 50 | flat 200x140x4
= Dish cloth | sponge; scrubber; dish cloth; pot scrubber; scourer; dish sponge; washing up sponge; cleaning cloth; pot cloth; tea towel | cook | camp | nice | no | wet | wash up | pot | 5 to 40 g
*- | 15 60 | 80 60 | soft 1.3
= Dish soap | dish soap; washing up liquid; dishwashing liquid; camp suds | cook | camp | nice | no | | wash up | | a small bottle
*- | 60 50 | = 45 | cyl 90x30
= Coffee maker | coffee maker; coffee filter; coffee dripper; espresso maker; moka pot; coffee press; pour over; french press | cook | camp | nice | no | | coffee | | from 15 g drippers to 250 g presses
*- | 150 70 | = 55 | cyl 130x90
= Coffee grinder | coffee grinder; hand grinder | cook | camp | nice | no | | coffee | | 250 to 500 g
*- | 350 40 | = 35 | cyl 160x50
= Spice kit | spices; spice kit; salt; salt and pepper; seasoning; spice box; herbs; olive oil; cooking oil; oil bottle food | cook | camp | nice | rather | | | | small tubes or bags
*- | 70 60 | 120 60 | soft 1.2
= Food bag | food bag; bear bag; food sack; bear hang kit; odour proof bag | food | camp | should | no | | hang food | | bag and cord
*- | 90 60 | 200 60 | soft 1.4
= Dinner | dinner; freeze dried meal; dehydrated meal; freeze-dried dinner; camping meal; trail meal; evening meal; main meal; meal; boil in bag meal; expedition meal; supper; trek meal | food | camp | must | rather | | dinner | | freeze dried, 450 to 800 kcal, in its pouch
*- | 150 25 | 620 35 | soft 1.1
= Breakfast | breakfast; porridge; oats; oatmeal; muesli; granola; cereal; instant oats; porridge oats; overnight oats; instant porridge | food | camp | must | rather | | breakfast | | dry, one portion
*- | 110 35 | 240 35 | soft 1.1
= Lunch | lunch; packed lunch; sandwich; sandwiches; wrap; wraps; rolls filled | food | stop | must | rather | | lunch | | one portion
*- | 260 40 | = 35 | crushable 150x110x50
= Pasta | pasta; noodles; instant noodles; ramen; spaghetti; macaroni; couscous; rice; instant rice; noodle soup; instant pasta; cup noodles | food | camp | must | rather | | dinner | | dry, one portion
*- | 120 30 | 260 40 | soft 1.1
= Instant mash | mash; instant mash; mashed potato; instant potatoes; potato powder; mashed potatoes | food | camp | must | rather | | dinner | | dry, one portion
*- | 110 30 | 230 35 | soft 1.1
= Soup | soup; instant soup; cup a soup; broth; stock cubes; stock cube; miso soup | food | camp | nice | rather | | dinner | | sachets
*- | 40 60 | 80 60 | soft 1.1
= Tinned food | tin; can of beans; tinned fish; tuna; tin of tuna; sardines; can of tuna; tinned food; baked beans; canned food; beans | food | camp | nice | no | | dinner | | 110 to 400 g
*- | 180 60 | = 55 | cyl 45x85
= Bread | bread; rolls; flatbread; tortillas; pita; baguette; bagels; bagel; buns; loaf; tortilla; naan; pitta; bread rolls; toast; rye bread; crispbread; crackers | food | stop | should | rather | | lunch | | one to two days
*- | 320 45 | = 45 | crushable 210x120x60
= Cheese | cheese; hard cheese; block of cheese; cheddar; cream cheese; parmesan | food | stop | should | no | | lunch | | a piece
*- | 200 50 | = 45 | box 110x60x35
= Sausage | sausage; salami; cured sausage; chorizo; ham; jerky; biltong; cured meat; pepperoni; dried meat; cold cuts | food | stop | nice | no | | lunch | | a piece
*- | 150 55 | = 50 | long 180x35
= Spread | peanut butter; nut butter; jam; honey; spread; almond butter; chocolate spread; marmalade; hummus; tube of condensed milk | food | stop | nice | no | | lunch | | tube or small jar
*- | 200 50 | = 45 | cyl 90x60
= Energy bar | energy bar; bars; bar; cereal bar; granola bar; muesli bar; oat bar; protein bar; snack bar; flapjack; oat bars; energy bars; candy bar; chocolate bar; fruit bar | food | riding | must | no | | snack | | one, 40 to 70 g
*- | 52 30 | = 35 | box 130x38x16
= Energy gel | gel; energy gel; gels; energy gels | food | riding | nice | no | | snack | | one, 30 to 60 g
*- | 42 35 | = 35 | flat 110x35x14
= Energy chews | chews; energy chews; sweets; jelly babies; gummy bears; candy; gummies; wine gums; sweet; dextrose; glucose tablets; fruit gums; liquorice | food | riding | nice | no | | snack | | a packet
*- | 100 50 | 150 50 | soft 1.1
= Trail mix | trail mix; nuts; mixed nuts; peanuts; almonds; cashews; nut mix; dried fruit; raisins; dates; dried apricots; gorp; dried mango; salted nuts; figs; walnuts | food | riding | must | no | | snack | | 150 to 250 g, a day's bag
*- | 200 40 | 330 40 | soft 1.1
= Chocolate | chocolate; bar of chocolate; chocolate bar 100g; dark chocolate | food | stop | nice | no | | snack | | 100 g bars
*- | 105 20 | = 25 | flat 160x75x12
= Biscuits | biscuits; cookies; cookie; shortbread; cake; fig rolls; waffles; stroopwafel; rice cakes; pretzels; muffin; pastry; cinnamon roll; wafers; crisps; potato chips | food | stop | nice | rather | | snack | | one packet
*- | 200 45 | = 50 | crushable 180x70x60
= Fruit | fruit; banana; apple; bananas; apples; orange; oranges; tomatoes; cucumber; carrots; fresh fruit; vegetables; pear; tomato; avocado; pepper vegetable; onion | food | stop | nice | no | | snack | | one piece
*- | 160 40 | = 35 | crushable 110x75x65
= Egg | egg; eggs; boiled eggs | food | stop | nice | no | fragile | | | one
*- | 62 15 | = 25 | crushable 60x48x48
= Coffee | coffee; instant coffee; ground coffee; coffee sachets; coffee bags; coffee powder; coffee sticks | food | camp | nice | must | | coffee | | for two days
*- | 50 60 | 120 60 | soft 1.1
= Tea | tea; tea bags; teabags; tea bag; herbal tea; hot chocolate; cocoa; chai; drinking chocolate; yerba mate | food | camp | nice | must | | tea | | for two days
*- | 25 70 | 90 70 | soft 1.1
= Milk powder | milk powder; powdered milk; dried milk; coffee creamer; creamer; coconut milk powder; sugar; sugar sticks; sweetener | food | camp | nice | must | | | | for two days
*- | 60 55 | 120 55 | soft 1.1
= Drink powder | drink powder; electrolytes; drink mix; electrolyte tablets; isotonic powder; energy drink powder; carb powder; electrolyte tabs; salt tablets; sports drink powder; recovery powder; protein powder; hydration tablets; sports drink | food | stop | nice | must | | salts | | tube of tablets or small bag
*- | 75 60 | = 55 | cyl 130x30
= Alcohol drink | hip flask; whisky; whiskey; flask of whisky; rum; schnapps; wine; beer; can of beer | luxuries | camp | nice | no | | | | small flask, full
*- | 260 50 | = 45 | flat 130x90x25
= Food for a day | day of food; food for a day; days food; food per day; day's food; daily food; food day; day food; food for one day; ration; food ration; provisions; food; groceries; trail food; a day of food | food | camp | must | rather | | breakfast; lunch; dinner; snack | | 650 to 1000 g, mostly dry
*- | 800 25 | 2100 35 | soft 1.1
= Baby food | pouch food; fruit pouch; apple sauce; squeeze pouch; baby food | food | riding | nice | no | | snack | | one pouch
*- | 100 25 | = 25 | flat 130x75x25
= Bottle | water bottle; bottle; bidon; drinking bottle; cycling bottle; sports bottle; bike bottle; pet bottle; water flask; drink bottle; plastic bottle; steel bottle; tritan bottle | water | riding | must | no | | hold water | cage | empty; plastic
0.5 l | 70 40 | = 12 | cyl 190x73
0.6 l | 78 40 | = 12 | cyl 200x73
*0.75 l | 90 40 | = 12 | cyl 240x73
1 l | 130 50 | = 12 | cyl 280x76
1.5 l | 50 50 | = 12 | cyl 320x90
2 l | 60 50 | = 12 | cyl 330x105
= Bladder | bladder; water bladder; hydration bladder; reservoir; hydration reservoir; water bag; water sack; water reservoir; water carrier; hydration pack bladder; folding water bag | water | camp | nice | no | hose | hold water | | empty and rolled
1.5 l | 150 35 | 300 40 | soft 1.3
*2 l | 170 35 | 350 40 | soft 1.3
3 l | 200 35 | 400 40 | soft 1.3
4 l | 200 35 | 400 40 | soft 1.3
6 l | 240 35 | 450 40 | soft 1.3
= Soft flask | soft flask; softflask; collapsible bottle; folding bottle; soft bottle; foldable bottle; collapsible flask; soft water bottle; squeeze bottle; water pouch | water | stop | nice | no | | hold water | | empty and rolled
0.5 l | 28 40 | 70 45 | soft 1.3
*1 l | 36 40 | 95 45 | soft 1.3
2 l | 48 40 | 130 45 | soft 1.3
= Thermos | thermos; thermos flask; vacuum flask; insulated bottle; thermos bottle; flask; insulated mug; thermo mug; vacuum bottle | water | stop | nice | no | | hot drink | | steel
*0.5 l | 320 25 | = 20 | cyl 240x70
1 l | 520 25 | = 20 | cyl 300x88
= Water filter | water filter; filter; squeeze filter; filter bottle; purifier; water purifier; microfilter; gravity filter; hollow fibre filter; hollow fiber filter | water | stop | should | no | wet | treat water | | squeeze filters, with a bag
*- | 85 50 | = 45 | cyl 150x55
= Water tablets | water purification tablets; purification tablets; chlorine tablets; water tablets; chlorine dioxide; water treatment drops; chlorine drops; purification drops; water drops | water | stop | should | must | | treat water | | a strip or two small bottles
*- | 20 70 | = 60 | flat 90x50x12
= UV purifier | uv purifier; uv light pen; uv water purifier | water | stop | nice | rather | fragile | treat water | | with battery
*- | 120 30 | = 30 | cyl 155x38
= Water | water; drinking water; litre of water; liter of water; litres of water; l water; water in bottles | water | riding | must | no | | | | 1 g a millilitre, in a bottle that is not counted
*1 l | 1000 5 | = 5 | cyl 255x71
= Multi-tool | multitool; multi-tool; multi tool; bike tool; bike multitool; mini tool; cycling multitool; hex key set; minitool; bicycle tool | tools | repair | must | no | | turn bolts | | 90 g to 230 g
*- | 160 35 | = 35 | box 85x45x22
= Allen keys | allen keys; hex keys; allen key; torx key; hex wrench; torx keys; hex bits; bit set; mini ratchet; ratchet tool; ratchet | tools | repair | should | no | | turn bolts | | a small set
*- | 130 55 | = 50 | box 120x45x22
= Pliers multi-tool | pliers; pocket pliers; pliers tool; multi plier | tools | repair | nice | no | | grip | | 140 to 250 g
*- | 200 35 | = 30 | box 105x40x22
= Chain tool | chain tool; chain breaker; chain rivet tool; chain splitter | tools | repair | should | no | | open a chain | | alone
*- | 90 45 | = 45 | box 80x45x25
= Quick links | quick link; chain link; chain links; quick links; master link; quicklink; joining link; split link; master links; chain connector; spare chain link | tools | repair | must | no | | join a chain | | one pair
*- | 5 50 | = 60 | box 25x20x6
= Spare tube | inner tube; tube; spare tube; innertube; butyl tube; bike tube; inner tubes; spare inner tube; bicycle tube | tools | repair | must | no | | air in a tyre | | butyl, by wheel and width; folded
20 in | 110 30 | 130 35 | soft 1.3
26 in | 180 30 | 220 35 | soft 1.3
27.5 in | 200 30 | 240 35 | soft 1.3
28 in | 115 30 | 150 35 | soft 1.3
*29 in | 210 30 | 250 35 | soft 1.3
fat | 420 30 | 480 35 | soft 1.3
= Light tube | tpu tube; light tube; tpu inner tube; latex tube; plastic inner tube; ultralight tube | tools | repair | must | no | | air in a tyre | | TPU, folded small
*- | 55 45 | 70 50 | soft 1.2
= Tyre levers | tyre levers; tire levers; tyre lever; tire lever; tyre irons; levers; tire irons | tools | repair | must | no | | take a tyre off | | a pair or three
*- | 30 45 | = 45 | box 120x25x14
= Patch kit | patches; patch kit; repair patches; puncture kit; glueless patches; puncture repair kit; tube patches; self adhesive patches; tyre patches; patch; vulcanising kit | tools | repair | must | no | | mend a tube | | small box or card
*- | 25 55 | = 50 | box 70x40x15
= Tubeless plugs | tyre plugs; tubeless plugs; plugs; plug kit; tubeless repair kit; tubeless kit; bacon strips; tire plugs; tubeless plug kit; tubeless repair; worms; plug tool | tools | repair | must | no | sharp | plug a tyre | | tool and five plugs
*- | 35 55 | = 50 | long 100x20
= Sealant | sealant; tubeless sealant; tyre sealant; tire sealant; sealant bottle; latex milk; tyre milk; milk tubeless | tools | repair | should | no | dirty | seal a tyre | | 60 ml bottle, full
*60 ml | 75 25 | = 30 | cyl 100x36
125 ml | 145 20 | = 25 | cyl 130x44
= Mini pump | pump; mini pump; hand pump; bike pump; minipump; bicycle pump; frame pump; track pump small; tyre pump; tire pump | tools | repair | must | no | | pump a tyre | | 90 to 200 g
*- | 140 40 | = 35 | long 230x38
= Electric pump | electric pump; mini electric pump; air compressor; electric inflator; battery pump; electric tyre pump | tools | repair | nice | rather | | pump a tyre | | with battery
*- | 150 50 | = 45 | box 75x50x35
= CO2 cartridge | co2; co2 cartridge; cartridge co2; co2 cartridges; gas cartridge tyre; carbon dioxide cartridge; co2 canister; co2 cartridges 16g; co2 bulb | tools | repair | nice | no | | pump a tyre | | 16 to 25 g of gas
16 g | 60 15 | = 20 | cyl 88x22
*25 g | 95 15 | = 20 | cyl 105x27
= CO2 head | co2 inflator; inflator head; co2 head; co2 adapter | tools | repair | nice | no | | pump a tyre | | without cartridge
*- | 30 50 | = 50 | cyl 50x30
= Tyre boot | tyre boot; tire boot; boot patch; tyre patch large; tire boots; tyre boots | tools | repair | should | no | | mend a tyre | | a piece of old tyre or a patch
*- | 20 60 | = 60 | flat 90x55x3
= Spare tyre | spare tyre; folding tyre; tyre; tire; spare tire; folding tire; foldable tyre | tools | repair | nice | no | dirty | | | folded
*- | 650 45 | = 40 | cyl 300x120
= Spare spokes | spokes; spare spokes; spoke; fibre spoke; kevlar spoke; spoke kit; emergency spoke; fiber spoke | tools | repair | nice | no | | mend a wheel | | three, or one of fibre
*- | 22 60 | = 60 | long 295x10
= Brake pads | brake pads; spare brake pads; disc brake pads; brake pad; disc pads; pair of brake pads; disk brake pads | tools | repair | should | no | | stop | | one pair
*- | 25 50 | = 50 | box 60x40x14
= Cables | gear cable; brake cable; shift cable; spare cable; derailleur cable; inner cable; cable inner; spare shift cable; bowden cable | tools | repair | nice | no | | mend gears | | one, coiled
*- | 25 55 | = 55 | flat 90x90x8
= Derailleur hanger | derailleur hanger; mech hanger; gear hanger; spare hanger; rear mech hanger; dropout hanger; hanger | tools | repair | should | no | | mend gears | | one
*- | 25 50 | = 50 | box 70x35x12
= Bolts | bolts; spare bolts; screws; spare screws; cleat bolts; cleats; spare cleats; cleat; bolt kit; rack bolts; bottle cage bolts; small parts | tools | repair | should | no | | | | a small bag
*- | 30 70 | 25 70 | soft 1.1
= Valve core | valve core; valves; tubeless valve; spare valve; valve; valve cores; valve core tool; valve adapter; tubeless valves; presta adapter; valve extender | tools | repair | should | no | | | | one or two
*- | 8 60 | = 70 | box 50x15x10
= Chain lube | chain lube; lube; chain oil; oil; lubricant; chain wax; wax lube; chain lubricant; drip wax; oil chain; grease | tools | repair | should | no | dirty | oil a chain | | small bottle, full
*- | 50 50 | = 45 | cyl 95x30
= Rag | rag; chain rag; cloth rag; rags; cleaning rag; shop towel; chain cloth | tools | repair | nice | no | dirty | | | old cotton
*- | 20 60 | 60 60 | soft 1.3
= Cable ties | zip ties; cable ties; zipties; cable tie; zip tie; zip-ties | tools | repair | should | no | | hold things on | | five to ten
*- | 12 60 | = 60 | long 200x12
= Tape | tape; duct tape; gaffer tape; electrical tape; insulation tape; repair tape; rim tape; insulating tape; fabric tape; self amalgamating tape | tools | repair | should | no | | mend | | a metre or two on a core
*- | 30 65 | = 60 | cyl 30x35
= Spare straps | straps; spare straps; strap; webbing straps; rubber strap; ski straps; bungee; bungee cord; elastic cord; lashing straps; bungees; strap spare | tools | stop | should | no | | hold things on | | one or two
*- | 45 60 | 90 60 | soft 1.2
= Repair kit | repair kit; tool kit; tool roll; toolkit; bike repair kit; tools; tool bag; tool pouch; puncture repair set; saddle bag kit; repair set; bike tools; tool set; spares kit | tools | repair | must | no | | turn bolts; plug a tyre; mend a tube | | a pouch with the usual
*- | 550 50 | = 45 | box 180x90x60
= Mat repair kit | mat repair kit; pad repair kit; sleeping mat patches; mattress repair kit; patches for mat; tent repair kit; gear repair kit | tools | camp | nice | no | | mend a mat | | patches and glue
*- | 20 60 | = 60 | flat 90x60x6
= Sewing kit | sewing kit; needle and thread; needle; thread; needle kit; sewing set; dental floss and needle | tools | repair | nice | no | | sew | | in a small tin
*- | 15 70 | = 70 | box 50x30x10
= Glue | glue; superglue; super glue; epoxy; rubber cement | tools | repair | nice | no | | mend | | a small tube
*- | 10 70 | = 70 | cyl 60x15
= Pedal spanner | spanner; pedal wrench; pedal spanner; adjustable spanner; adjustable wrench; wrench; cone spanner; crescent wrench | tools | repair | nice | no | | turn bolts | | small
*- | 160 55 | = 50 | box 160x45x14
= Shock pump | shock pump; suspension pump; fork pump | tools | repair | nice | no | | suspension | | small
*- | 220 35 | = 35 | long 220x45
= Bike lock | lock; bike lock; cable lock; light lock; bicycle lock; folding lock; d lock; u lock; cafe lock; alarm lock; chain lock; u-lock; d-lock; combination lock | tools | stop | nice | no | | lock the bike | | from a cable tie lock to a folding one
light | 120 40 | = 45 | box 110x70x30
*- | 350 60 | = 45 | box 140x80x40
heavy | 1000 30 | = 35 | box 190x100x45
= Bell | bell; bike bell | tools | riding | nice | no | | | | on the bar
*- | 40 50 | = 45 | cyl 45x45
= Front light | front light; bike light; headlight; front lamp; bike front light; handlebar light; bar light; bicycle light; light front; bike headlight; lights; bike lights; cycling light; bike lamp; front bike light | electronics | riding | must | no | | light ahead | | rechargeable, with mount
*- | 130 50 | = 45 | box 105x45x35
= Rear light | rear light; tail light; taillight; back light; rear lamp; red light; bike rear light; light rear; rear bike light; blinker | electronics | riding | must | no | | light behind | | rechargeable
*- | 40 50 | = 50 | box 65x38x28
= Head torch | head torch; headtorch; headlamp; head lamp; torch; flashlight; head light; hand torch; camping headlamp; forehead lamp | electronics | urgent | must | rather | | light at camp | | 30 to 110 g
*- | 75 50 | = 45 | box 70x50x40
= Camp lantern | lantern; camp light; tent light; string lights; fairy lights; camping lamp; camp lamp | electronics | camp | nice | rather | | light at camp | | small
*- | 80 60 | = 55 | cyl 80x60
= Power bank | power bank; powerbank; battery pack; battery; external battery; portable charger; mobile battery; usb battery; portable battery; spare battery pack; charger bank | electronics | stop | should | must | | charge | | by capacity
5000 mAh | 115 25 | = 25 | flat 98x45x20
*10000 mAh | 200 20 | = 20 | flat 135x68x16
20000 mAh | 350 18 | = 20 | flat 150x70x25
27000 mAh | 500 18 | = 20 | flat 165x78x30
= Charger | charger; wall charger; usb charger; plug; mains charger; usb plug; charging plug; power adapter; phone charger; usb adapter; travel adapter; wall plug; power supply; mains plug; ac adapter | electronics | camp | should | must | | charge | | 30 to 65 W
*- | 85 50 | = 45 | box 60x45x30
= USB cable | usb cable; charging cable; cable; usb-c cable; charge cable; usb lead; lightning cable; cables; charging cables; phone cable; micro usb cable; usb c cable; charging lead; usb cables | electronics | stop | should | must | | charge | | 20 to 100 cm
*- | 22 50 | = 55 | flat 70x70x10
= Solar panel | solar panel; solar charger; folding solar panel | electronics | stop | nice | rather | fragile | charge | | 7 to 15 W, folded
*- | 400 50 | = 40 | flat 240x160x25
= Dynamo charger | dynamo charger; hub dynamo charger; dynamo usb; dynamo converter; dynamo usb charger | electronics | riding | nice | no | | charge | | without the hub
*- | 70 50 | = 45 | box 75x45x30
= Spare batteries | spare batteries; aa batteries; aaa batteries; batteries; battery aaa; coin cell; cr2032; battery aa; camera battery; spare camera battery; button cell; aaa cells; head torch batteries; spare light battery | electronics | stop | nice | must | | | | two or three
*- | 45 65 | = 60 | box 55x45x15
= Phone | phone; smartphone; mobile phone; mobile; cell phone; cellphone; smart phone; telephone; spare phone | electronics | riding | must | must | fragile | call; navigate | | with case
*- | 210 20 | = 20 | flat 160x77x11
= Head unit | bike computer; head unit; gps; gps unit; cycling computer; gps computer; bike gps; gps device; cycle computer; navigation device; sat nav; satnav; handheld gps; gps navigation | electronics | riding | should | no | fragile | navigate | | on the bar
*- | 95 40 | = 40 | box 95x58x20
= Satellite messenger | satellite messenger; beacon; plb; personal locator beacon; sat messenger; tracker; satellite communicator; satellite beacon; gps tracker; emergency beacon; satellite tracker; sos device; satellite phone | electronics | urgent | nice | no | | call without a phone | | 100 to 150 g
*- | 115 25 | = 30 | box 100x52x27
= Action camera | action camera; action cam; helmet camera; sports camera | electronics | riding | nice | rather | fragile | photos | | with battery
*- | 150 25 | = 30 | box 72x51x34
= Compact camera | camera; compact camera; point and shoot; small camera; digital camera; pocket camera; film camera | electronics | stop | nice | must | fragile | photos | | with battery
*- | 310 35 | = 30 | box 112x68x45
= Mirrorless camera | mirrorless camera; system camera; dslr; big camera; camera with lens; mirrorless; slr camera; slr; large camera; camera body and lens | electronics | stop | nice | must | fragile | photos | | body and one lens
*- | 750 35 | = 35 | box 135x100x95
= Camera lens | lens; camera lens; zoom lens; spare lens; second lens | electronics | stop | nice | must | fragile | photos | | one
*- | 350 55 | = 45 | cyl 95x70
= Drone | drone; mini drone; quadcopter; small drone; camera drone | electronics | stop | nice | must | fragile | photos | | under 250 g, with remote
*- | 650 35 | = 30 | box 200x110x75
= Tripod | tripod; mini tripod; camera tripod; small tripod; phone tripod; travel tripod | luxuries | stop | nice | no | | photos | | from table tripods to travel ones
mini | 180 45 | = 40 | long 180x45
*- | 450 60 | = 45 | long 330x65
= Earphones | earphones; headphones; earbuds; ear buds; headset; ear phones; in ear headphones; wireless earbuds | electronics | camp | nice | must | | music | | in a case
*- | 50 60 | = 50 | box 65x50x25
= Speaker | speaker; bluetooth speaker; music box; portable speaker | luxuries | camp | nice | rather | | music | | small
*- | 230 60 | = 50 | cyl 110x70
= E-reader | e-reader; ereader; e reader; ebook reader; e-book; tablet reader | luxuries | camp | nice | must | fragile | read | | with cover
*- | 230 35 | = 30 | flat 165x120x11
= Tablet | tablet; small tablet; tablet computer | luxuries | camp | nice | must | fragile | | | with cover
*- | 550 30 | = 30 | flat 250x175x10
= Laptop | laptop; notebook computer; laptop computer | luxuries | camp | nice | must | fragile | | | small
*- | 1250 25 | = 25 | flat 310x220x18
= Smart watch | watch; smartwatch; gps watch; smart watch; sports watch; wristwatch; watch charger | electronics | riding | nice | no | | | | worn
*- | 60 40 | = 40 | box 50x50x15
= Memory card | memory card; sd card; usb stick; memory stick; sd cards; micro sd card | electronics | stop | nice | must | | | | in a case
*- | 10 70 | = 70 | flat 60x40x6
= Radio | radio; pocket radio; walkie talkie; two way radio; walkie-talkie; pmr radio | luxuries | camp | nice | rather | | | | small
*- | 190 55 | = 50 | box 110x60x30
= First aid kit | first aid kit; first aid; first-aid kit; medical kit; firstaid; med kit; first aid pouch; medkit; emergency kit; fak; first aid set | first aid | urgent | must | must | | first aid | | for one or two people
*- | 220 50 | 650 50 | soft 1.2
= Plasters | plasters; blister plasters; bandage; bandages; blister kit; adhesive bandages; elastic bandage; gauze; wound dressing; dressing; steri strips; triangular bandage | first aid | urgent | should | must | | first aid | first aid kit | a few
*- | 25 70 | 60 70 | soft 1.2
= Medicines | medicine; medicines; painkillers; ibuprofen; pills; medication; paracetamol; tablets; antihistamine; prescription; personal medication; antihistamines; allergy tablets; inhaler; meds; aspirin; drugs; insulin | first aid | urgent | must | must | | medicine | first aid kit | a few days
*- | 40 70 | 80 70 | soft 1.2
= Emergency blanket | emergency blanket; space blanket; foil blanket; survival blanket; rescue blanket; emergency bivvy; foil bag; mylar blanket | first aid | urgent | should | no | | warm in an emergency | first aid kit | foil
*- | 60 50 | = 50 | flat 125x80x14
= Tick tool | tick remover; tick tweezers; tweezers; tick tool; tick card; tick key; scissors; nail scissors; small scissors | first aid | stop | nice | no | sharp | remove ticks | first aid kit | card to tweezers
*- | 12 70 | = 70 | flat 85x25x6
= Whistle | whistle; emergency whistle; signal mirror; safety whistle | first aid | urgent | nice | no | | call without a phone | | plastic
*- | 8 60 | = 60 | box 50x20x12
= Insect repellent | insect repellent; bug spray; mosquito repellent; deet; midge spray; insect spray; repellent; tick spray; mosquito spray; tick repellent; bug repellent; mosquito coil | hygiene | stop | nice | no | | insects | | small spray
*- | 80 45 | = 45 | cyl 120x35
= Sun cream | sun cream; sunscreen; suncream; sun lotion; sun block; sunblock; sun protection; sun tan lotion; suntan lotion | hygiene | stop | should | no | | sun | | 50 ml tube
*- | 65 45 | = 45 | cyl 120x36
= Lip balm | lip balm; lipbalm; lip salve; lip stick; lip care | hygiene | riding | nice | no | | sun | | stick
*- | 10 40 | = 40 | cyl 68x18
= Chamois cream | chamois cream; saddle cream; butt cream; anti chafe cream; chamois butter; bum butter; vaseline; anti-chafing cream; skin cream; chafing cream; seat cream; chammy cream | hygiene | camp | nice | no | | | wash kit | small tub
*- | 55 50 | = 50 | cyl 45x50
= Wash kit | wash kit; toiletries; toiletry bag; wash bag; washbag; sponge bag; toilet bag; hygiene kit; toiletry kit; bathroom bag; wash things; personal hygiene; cosmetics; toiletry | hygiene | camp | should | no | | wash | | bag with the usual
*- | 250 50 | 750 50 | soft 1.2
= Toothbrush | toothbrush; tooth brush; travel toothbrush; teeth brush | hygiene | camp | should | no | | wash | wash kit | cut or folding
*- | 15 50 | = 50 | long 150x18
= Toothpaste | toothpaste; tooth paste; tooth tabs; dental floss; toothpaste tablets; floss; mouthwash; tooth powder | hygiene | camp | should | no | | wash | wash kit | small tube
*- | 30 55 | = 50 | cyl 100x24
= Soap | soap; soap bar; shower gel; body wash; bar of soap; shampoo; travel soap; biodegradable soap; wilderness wash; liquid soap; shampoo bar; laundry soap; detergent; travel wash; washing powder | hygiene | camp | should | no | | wash | wash kit | small bottle or bar
*- | 60 50 | = 50 | box 80x45x25
= Deodorant | deodorant; deo; antiperspirant; roll on | hygiene | camp | nice | no | | | wash kit | small
*- | 60 45 | = 45 | cyl 95x35
= Towel | towel; travel towel; microfibre towel; microfiber towel; camp towel; quick dry towel; small towel; pack towel; bath towel; flannel; washcloth; face cloth; trek towel | hygiene | camp | should | no | wet | dry off | | microfibre
small | 45 40 | 130 45 | soft 1.4
*- | 130 45 | 420 45 | soft 1.4
= Toilet paper | toilet paper; loo roll; toilet roll; tp; loo paper; tissues; paper tissues; bog roll; tissue; paper hankies; handkerchief; toilet tissue; hankies; kitchen roll | hygiene | stop | must | must | | toilet | | part of a roll
*- | 50 50 | 320 50 | soft 1.3
= Trowel | trowel; poop trowel; toilet trowel; shovel; cathole trowel; spade; poo trowel; potty trowel; poop shovel | hygiene | stop | should | no | dirty | toilet | | 15 to 90 g
*- | 40 70 | = 55 | long 170x40
= Wet wipes | wet wipes; wipes; baby wipes; body wipes; moist wipes; cleansing wipes; babywipes; face wipes; moist towelettes | hygiene | camp | nice | no | | wash | | a small pack
*- | 110 55 | = 50 | flat 150x90x25
= Hand sanitiser | hand sanitiser; hand sanitizer; hand gel; sanitizer; disinfectant; alcohol gel; hand disinfectant; antibacterial gel; sanitiser | hygiene | stop | should | no | | clean hands | | 50 ml
*- | 60 40 | = 40 | cyl 95x32
= Period products | tampons; pads; sanitary pads; menstrual cup; period products; sanitary towels; tampon; period pants; sanitary products | hygiene | stop | should | must | | hygiene | wash kit | for a few days
*- | 50 65 | 170 65 | soft 1.2
= Contact lenses | contact lenses; contacts; lens fluid; contact lens solution; contact lens case; lens solution; contact lens fluid | hygiene | camp | should | no | | see | wash kit | case and small bottle
*- | 90 50 | = 50 | box 95x45x30
= Razor | razor; shaver; shaving kit; shaving foam; electric shaver; shaving cream; safety razor | hygiene | camp | nice | no | sharp | | wash kit | light
*- | 45 70 | = 60 | long 140x35
= Comb | comb; hairbrush; brush; hair brush; hair ties; hair tie; hair band; mirror; nail clippers; nail file; pocket mirror | hygiene | camp | nice | no | | | wash kit | small
*- | 30 70 | = 70 | box 120x30x12
= Clothes line | clothes line; clothesline; washing line; clothes pegs; laundry line; pegs for clothes; drying line | hygiene | camp | nice | no | | dry clothes | | thin cord
*- | 30 60 | 60 60 | soft 1.2
= Wallet | wallet; purse; money; cash; cards; bank card; credit card; credit cards; money belt; cash and cards; driving licence; coins; debit card | papers | stop | must | must | | pay | | thin
*- | 90 55 | = 50 | flat 105x75x16
= Passport | passport; id card; documents; papers; identity card; id; travel documents; insurance card; health card; tickets; visa; ticket; train ticket; health insurance card; booking confirmation; train tickets; copies of documents | papers | stop | must | must | | identify | | in a bag
*- | 45 50 | = 50 | flat 130x92x6
= Map | map; paper map; maps; topographic map; route notes; cue sheet; topo map; guide book; guidebook; road map; cue sheets; map case; route book | papers | stop | nice | must | | navigate | | folded
*- | 85 55 | = 45 | flat 230x120x10
= Compass | compass; orienteering compass | papers | stop | nice | no | | navigate | | base plate
*- | 35 50 | = 45 | flat 90x60x12
= Notebook | notebook; pen and paper; journal; diary; note book; sketchbook; pencil; pen; notepad; note pad; writing pad; notebook and pen; biro; travel journal | papers | camp | nice | must | | write | | small, with pen
*- | 100 55 | = 45 | flat 140x90x12
= Keys | keys; key; house keys; car keys; house key; car key; keyring; bike keys; bunch of keys | papers | camp | must | no | | | | two or three
*- | 35 60 | = 60 | box 65x35x12
= Book | book; paperback; novel; reading book; paper back | luxuries | camp | nice | must | | read | | paperback
*- | 230 45 | = 40 | flat 180x110x22
= Playing cards | playing cards; cards game; deck of cards; card game; pack of cards; dice; travel game; board game; chess; dice game; frisbee | luxuries | camp | nice | must | | play | | one deck
*- | 95 45 | = 45 | box 92x65x20
= Camp chair | chair; camp chair; folding chair; camping chair; camp stool; stool; camping stool; camping seat; folding stool | luxuries | camp | nice | no | | sit | | packed poles and cloth
*- | 880 35 | = 30 | cyl 350x115
= Sit mat | sit mat; sit pad; seat pad; sitting mat; foam seat; thermal seat; sitpad; seat mat; seat cushion; bum mat | luxuries | camp | nice | no | | sit | | foam, folded
*- | 50 50 | = 45 | flat 280x90x30
= Camp table | table; camp table; camping table; folding table; small table | luxuries | camp | nice | no | | | | light
*- | 700 40 | = 40 | long 400x90
= Fishing kit | fishing rod; fishing kit; fishing gear; rod; tackle; tenkara rod; fishing reel; travel rod; fishing tackle; hand line | luxuries | camp | nice | no | sharp | | | travel rod
*- | 400 60 | = 50 | long 480x55
= Musical instrument | ukulele; harmonica; flute; instrument; musical instrument; tin whistle; mouth organ; jaw harp; recorder | luxuries | camp | nice | rather | fragile | | | small
*- | 250 80 | = 80 | box 250x100x60
= Binoculars | binoculars; monocular; field glasses; bins; small binoculars | luxuries | stop | nice | rather | fragile | | | compact
*- | 280 50 | = 45 | box 115x100x45
= Backpack | backpack; rucksack; day pack; daypack; packable backpack; folding rucksack; musette; shopping bag; tote bag; foldable backpack; cotton bag; folding bag; stuff sack backpack; drawstring bag; carrier bag | luxuries | stop | nice | no | | carry shopping | | folded
*- | 110 65 | 350 65 | soft 1.3
= Hip pack | hip pack; bum bag; fanny pack; waist pack; bumbag; hip bag; hydration pack; lumbar pack | luxuries | riding | nice | no | | | | worn, empty
*- | 320 50 | 1800 50 | soft 1.4
= Dry bag | dry bag; dry sack; drybag; stuff sack; drysack; compression sack; stuffsack; waterproof bag; dry bags; packing cube; pack liner; roll top bag; compression bag; packing cubes | luxuries | camp | nice | no | | keep things dry | | 5 to 13 l, empty
*- | 55 55 | 120 55 | soft 1.3
= Plastic bags | zip bag; plastic bags; bin bags; rubbish bag; zip lock bags; bin bag; trash bag; garbage bags; freezer bags; trash bags; freezer bag; bin liner; bin liners; rubbish bags; sandwich bags; plastic bag | luxuries | camp | nice | no | | keep things dry | | a few
*- | 25 65 | 60 65 | soft 1.2
= Carabiner | carabiner; karabiner; s hook; clip; clips; carabiners; hooks; karabiners | tools | stop | nice | no | | hold things on | | small
*- | 20 60 | = 60 | box 55x30x10
= Bear spray | bear spray; pepper spray; dog spray; animal deterrent | first aid | urgent | nice | no | | | | 230 g can and holster
*- | 320 35 | = 25 | cyl 220x55
= Bear canister | bear canister; bear can; bear box; bear barrel; bear-proof canister | food | camp | nice | no | | hold food | | empty, rigid
*- | 1000 25 | = 20 | cyl 300x220
= Dog food | dog food; pet food; dog kibble; kibble; dog treats; dog biscuits | food | camp | nice | rather | | | | one day
*- | 300 55 | 550 55 | soft 1.1
= Umbrella | umbrella; trekking umbrella; parasol; travel umbrella; folding umbrella; brolly | luxuries | stop | nice | no | wet | | | light
*- | 230 45 | = 40 | long 280x50
= Trekking poles | trekking poles; hiking poles; walking poles; trekking pole; walking stick; hiking sticks; folding poles | luxuries | stop | nice | no | | walk | | folded pair
*- | 450 35 | = 35 | long 400x75
= Hatchet | axe; hatchet; saw; folding saw; camp axe; camping saw; hand saw; pruning saw; small axe | luxuries | camp | nice | no | sharp | cut | | folding saw to small axe
*- | 280 65 | = 55 | long 260x50
= Packraft | packraft; inflatable boat; raft; paddle; life jacket; inflatable kayak; pfd | luxuries | stop | nice | no | wet,inflatable | | | light, without paddle
*- | 2200 50 | 9000 45 | soft 1.3
= Mosquito head net | headnet; head net; midge head net; mosquito hat | clothes | camp | nice | no | | insects | | mesh
*- | 25 50 | 60 55 | soft 1.4
= Gaiters | gaiters; gaiter; mudguards; mudguard; fenders; ass saver; mud guard; fender | clothes | stop | nice | no | dirty,wet | | | pair
*- | 200 60 | 450 60 | soft 1.3
= Knee pads | knee pads; elbow pads; pads knee; knee protectors; shin pads; kneepads; body armour | clothes | riding | nice | no | | | | pair
*- | 450 40 | 2000 45 | soft 1.3
= Dress clothes | shirt for town; town clothes; evening clothes; casual clothes; dress; skirt; clean clothes; going out clothes; change of clothes; spare clothes; smart shirt; clothes | clothes | camp | nice | rather | | | | one set
*- | 500 50 | 1600 50 | soft 1.5
= Gift | gift; souvenir; present; shopping; lucky charm; mascot; soft toy; cuddly toy; teddy; teddy bear; toy | luxuries | camp | nice | rather | | | | small
*- | 150 80 | 500 80 | soft 1.2
= Something | something | luxuries | camp | should | rather | | | | a guess from how big it is: what riders carry weighs 0.2 to 0.8 g a millilitre
*fist | 130 70 | 320 60 | soft 1.3
bottle | 300 70 | 750 60 | soft 1.3
shoe | 650 70 | 2000 60 | soft 1.3
pillow | 900 70 | 5000 60 | soft 1.5
`;
