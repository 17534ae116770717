// Made by `npm run names` from the words in packages/core/names; not edited by hand.
/** For each name six hexadecimal digits of sRGB and the name itself, by name; commas and ends of lines between. */
export const PLAIN_NAMES = `
7f5e50Acorn,d48948Acorn Nut,eddcc8Almond,ccb590Almond Buff,eec87cAlmond Cookie,cc8888Almond Rose,e1cfb2Almond Silk,817a60Aloe,c97863Aloe Blossom,dbe5b9Aloe Cream,61643fAloe Leaf
dcf2e3Aloe Mist,f7e0baAlpine Berry Yellow,005f50Alpine Green,4598abAlpine Lake,6aae2eAlpine Meadow,ded3e6Alpine Moon,79b4ceAlpine Sky,515a52Alpine Trail,ffbf00Amber
c69c6aAmber Autumn,c79958Amber Glass,ac8a41Amber Green,d0a592Amber Grey,ba9971Amber Leaf,ff9988Amber Sun,d78b55Amber Wave,fab75aAmber Yellow,9966ccAmethyst,776985Amethyst Gem
9085c4Amethyst Grey,a0a0aaAmethyst Haze,95879cAmethyst Smoke,cdc7d5Amethyst Tint,882d4cAnemone,ddbca0Apple Blossom,8e5151Apple Butter,f81404Apple Cherry,b8d7a6Apple Cream
bdd0b1Apple Ice,a77c53Apple Seed,ea8386Apple Valley,b59f62Apple Wine,ffb16dApricot,feaea5Apricot Blush,cc7e5bApricot Brown,cd7e4dApricot Buff,f1bd89Apricot Cream,ffaaaaApricot Haze
f8cc9cApricot Ice Cream,fbbe99Apricot Iced Tea,ecaa79Apricot Nectar,e8917dApricot Red,f7bd81Apricot Yellow,909245April Hills,0ff0feAqua,b5dfc9Aqua Bay,79b6bcAqua Blue
01f1f1Aqua Cyan,014b43Aqua Deep,a1baaaAqua Foam,5fa777Aqua Forest,d2e8e0Aqua Glass,12e193Aqua Green,889fa5Aqua Grey,d9ddd5Aqua Haze,30949dAqua Lake,a0c9cbAqua Mist,61a1a9Aqua Sea
70bbbfAqua Sky,00a29eAqua Velvet,00937dAqua Waters,2ee8bbAquamarine,82cdadAquamarine Ocean,8f9779Artichoke,c19aa5Artichoke Mauve,bebaa7Ash,98623cAsh Brown,8c6f54Ash Gold
c1b5a9Ash Grey,b9b3bfAsh Grove,737486Ash Mauve,998e91Ash Pink,e8d3c7Ash Plum,b5817dAsh Rose,aabb99Ash Tree,9695a4Ash Violet,f0bd7eAsh Yellow,77ab56Asparagus,96af54Asparagus Cream
b9cb5aAsparagus Fern,d2cbb4Asparagus Green,ffd662Aspen Gold,cfd7cbAspen Mist,687f7aAspen Valley,867ba9Aster,9bacd8Aster Flower Blue,8881b0Aster Purple,372528Aubergine
8b762cAubergine Green,6e5861Aubergine Grey,3b2741Aubergine Mauve,712f2cAuburn,d8a394Auburn Wave,af865bAutumn,cda449Autumn Apple Yellow,9d6f46Autumn Bark,afb8baAutumn Fog
7d623cAutumn Gold,b2aba7Autumn Grey,784f50Autumn Hills,7a560eAutumn Leaf Brown,d07a04Autumn Leaf Orange,d26f16Autumn Maple,acb78eAutumn Meadow,f7b486Autumn Mist,3b5861Autumn Night
ee9950Autumn Orange,158078Autumn Pine Green,99451fAutumn Red,9b423fAutumn Ridge,a4746eAutumn Russet,aea26eAutumn Sage,f38554Autumn Sunset,fbd1b6Autumn Wind,e99700Autumn Yellow
568203Avocado,b7bf6bAvocado Cream,3e4826Avocado Dark Green,87a922Avocado Green,555337Avocado Pear,4e3e1fAvocado Stone,d73b5dAzalea,efc0cbAzalea Flower,4a6871Azalea Leaf
f9c0c4Azalea Pink,007fffAzure,4d91c6Azure Blue,7bbbc8Azure Lake,f0fff1Azure Mist,b0e0f6Azure Sky,e3dec6Bamboo,c87f00Bamboo Brown,82994cBamboo Grass Green,99b243Bamboo Leaf
c6cfadBamboo White,ae884bBamboo Yellow,fffc79Banana,933e49Banana Blossom,ffcf73Banana Bread,e8d82cBanana Brick,d6d963Banana Chalk,fff49cBanana Cream,9d8f3aBanana Leaf
fff7adBanana Milk,95a263Banana Palm,fdd630Banana Pepper,d0c101Banana Powder,ffe135Banana Yellow,5f5854Bark,73532aBark Brown,d5b37eBarley,b6935cBarley Corn,f7e5b7Barley White
f0b069Barrel,989998Basalt,879f84Basil,54622eBasil Green,6c5472Basil Mauve,b3e2d3Bay,773300Bay Brown,9899b0Bay Fog,86793dBay Leaf,d2cdbcBay Salt,aaad94Bay Water,efe4bbBeach
5f9ca2Beach Blue,c6bb9cBeach Dune,96dfceBeach Glass,dcddb8Beach Grass,fbb88bBeach Sand,4a1207Bean,685c27Bean Green,f3f9e9Bean Sprout,7e203fBeet Red,d4265dBeet Wave,663f44Beetroot
e6daa6Beige,de9408Beige Red,ffc87cBeige Topaz,990f4bBerry,32607aBerry Blue,264b56Berry Blue Green,544f4cBerry Brown,a6aebbBerry Chalk,3f000fBerry Chocolate,9a8ca2Berry Cream
673b66Berry Light,624d55Berry Wine,71777eBilberry,d9c3a1Birch Beige,637e1dBirch Leaf Green,f6eedfBirch White,000000Black,474a4eBlack Bay,2c1620Black Cherry,252321Black Chestnut Oak
441100Black Chocolate,3e3231Black Coffee,12221dBlack Emerald,384e49Black Green,24272eBlack Grey,4d5051Black Ice,2b3042Black Iris,3b3c36Black Olive,525463Black Orchid
33654aBlack Pine Green,77606fBlack Plum,16110dBlack Raspberry,532934Black Rose,3e3e3fBlack Smoke,4c5752Black Spruce,2c4364Black Turmeric,1f1916Black Umber,2b2c42Black Violet
43182fBlackberry,2e2848Blackberry Black,633654Blackberry Deep Red,504358Blackberry Harvest,5c3c55Blackberry Wine,8470ffBlackthorn Berry,4c606bBlackthorn Blue,739c69Blackthorn Green
fbcaadBleached Apricot,2c2133Bleached Cedar,788878Bleached Grey,c7a06cBleached Maple,55bb88Bleached Olive,ddd2a9Bleached Wheat,fee9d8Blossom,a3a7ccBlossom Mauve
c3b3b9Blossom Powder,ffc9dbBlossom Tree,e1c77dBlossom Yellow,0000ffBlue,414654Blue Ash,007ec7Blue Aster,619ad6Blue Bay,94c0ccBlue Chalk,6b9194Blue Clay,627188Blue Cloud
415e9cBlue Dahlia,8c959dBlue Dusk,375673Blue Earth,0f5a5eBlue Emerald,c8d2cdBlue Flower,9babbbBlue Fog,4b3c8eBlue Gem,b8dcdcBlue Glass,76798dBlue Granite,007a7cBlue Grass
137e6dBlue Green,7ccbc5Blue Green Gem,758da3Blue Grey,bdbaceBlue Haze,aebbc1Blue Heather,1e454dBlue Hill,6264a6Blue Iris,22aaaaBlue Island,1d7881Blue Kelp,5a5e6aBlue Linen
5f34e7Blue Magenta,553592Blue Magenta Violet,6594bcBlue Marble,5a6370Blue Metal,5bacc3Blue Mist,759dbeBlue Mountain,009dc4Blue Ocean,124168Blue Opal,c5d9e3Blue Pearl
b5a3c5Blue Pink,64617bBlue Potato,5729ceBlue Purple,335287Blue Quartz,0cbfe9Blue Raspberry,3aa2c6Blue Raspberry Seed,292d74Blue Rose,57747aBlue Sage,126180Blue Sapphire
9eb6d0Blue Satin,b9caccBlue Shale,d0dce8Blue Silk,adc5c9Blue Spruce,577284Blue Stone,95cdd8Blue Stream,9fd9d7Blue Tint,65aeceBlue Topaz,5c4671Blue Tulip,50abaeBlue Turquoise
4e32b2Blue Violet,a8bbbaBlue Willow,333399Bluebell,9999ccBluebell Frost,464196Blueberry,836268Blueberry Blush,cbccdfBlueberry Mist,5e96c3Blueberry Soft Blue,2976bbBluish
413f44Bluish Black,748b97Bluish Grey,703be7Bluish Purple,6666bbBluish Purple Anemone,89cfdbBluish Water,f29e8eBlush,e0d7c6Bone,9d7446Bone Brown,e7ece6Bone Dust,f1e1b0Bone White
873260Boysenberry,a9704cBran,b5a642Brass,b58735Brass Yellow,aec9eaBreeze,a03623Brick,77603fBrick Brown,ab685fBrick Dust,c14a09Brick Orange,c2977cBrick Path,8f1402Brick Red
d2a161Brick Yellow,0bf9eaBright Aqua,0165fcBright Blue,8a2be2Bright Blue Violet,a05822Bright Bronze,533b32Bright Brown,1dacd6Bright Cerulean,ffc6a5Bright Citrus,3c6098Bright Cobalt
41fdfeBright Cyan,eee9f9Bright Dusk,5a4e88Bright Eggplant,728a51Bright Forest,cf9f52Bright Gold,66ff00Bright Green,ebecf0Bright Grey,6f00feBright Indigo,bf94e4Bright Lavender
8dce65Bright Lettuce,2dfe54Bright Light Green,d891efBright Lilac,87fd05Bright Lime,ff08e8Bright Magenta,ff8830Bright Mango,eb7e00Bright Marigold,c32148Bright Maroon
98ff98Bright Mint,1974d2Bright Navy Blue,9cbb04Bright Olive,be03fdBright Purple,c51959Bright Rose,ffcf09Bright Saffron,9fe2bfBright Sea Green,02ccfeBright Sky Blue
01f9c6Bright Teal,08e8deBright Turquoise,826644Bright Umber,ad0afdBright Violet,a87900Bronze,825e2fBronze Brown,8d8752Bronze Green,aa8031Bronze Leaf,a37f44Bronze Mist
584c25Bronze Olive,e6be9cBronze Sand,cc5533Bronze Satin,737000Bronze Yellow,653700Brown,cc8833Brown Beige,53331eBrown Bramble,d4c5a9Brown Bread,ac7c00Brown Butter
5f1933Brown Chocolate,c37c59Brown Clay,4a2c2aBrown Coffee,706c11Brown Green,7b2039Brown Magenta,b96902Brown Orange,4e403bBrown Pepper,922b05Brown Red,735852Brown Ridge
8d736cBrown Rose,af593eBrown Rust,f7945fBrown Sand,9c6d57Brownish,413936Brownish Black,6a6e09Brownish Green,86775fBrownish Grey,c27e79Brownish Pink,76424eBrownish Purple
c9b003Brownish Yellow,a5a88fBud,79b465Bud Green,f0dc82Buff,aa7733Buff Leather,ffbb7cBuff Orange,f0b967Buff Yellow,900020Burgundy,dadba0Burgundy Grey,811d45Burgundy Orchid
6c403eBurgundy Wine,b0724aBurnt Almond,746572Burnt Ash,b45241Burnt Brick,271b10Burnt Coffee,c56a39Burnt Copper,e57568Burnt Coral,582124Burnt Crimson,9d4531Burnt Earth
75625eBurnt Grape,420303Burnt Maroon,bb4f35Burnt Ochre,cc5500Burnt Orange,9f2305Burnt Red,853c47Burnt Russet,a93400Burnt Sienna,774645Burnt Tile,ab7e5eBurnt Toffee
8a3324Burnt Umber,d5ab09Burnt Yellow,aa6600Butter Fudge,da9429Buttercup,e3c2a3Buttercup Yellow,87d7beCabbage,724c7bCabbage Blossom Violet,dfe8d0Cabbage Leaf,c59f91Cabbage Rose
0a1195Cadmium Blue,006b3cCadmium Green,ed872dCadmium Orange,b60c26Cadmium Purple,e30022Cadmium Red,7f3e98Cadmium Violet,dfe9e6Calm,7caacfCalm Day,eae3e9Calm Tint,f6685aCamellia
cd739dCamellia Pink,e94e6dCamellia Rose,fdff63Canary,efde75Canary Feather,d0cca9Canary Grass,c3bdaaCandle Bark,e09b6eCandle Yellow,607b8eCanyon Blue,cb7d6fCanyon Clay
49548fCanyon Iris,a7a4c0Canyon Mist,93625bCanyon Stone,dd8869Canyon Sunset,d6b8a9Canyon Trail,af6f09Caramel,b87a59Caramel Apple,b18775Caramel Brown,f4b58fCaramel Cream
eec9aaCaramel Ice,eebb99Caramel Powder,d60036Carmine,eb4c42Carmine Pink,ff0038Carmine Red,e35b8fCarmine Rose,fd798fCarnation,edb9adCarnation Coral,ce94c2Carnation Rose,fd6f3bCarrot
cbd3c1Carrot Flower,463430Cedar,788078Cedar Forest,69743eCedar Green,bf6955Cedar Grove,9b6663Cedar Ridge,a97367Cedar Wood,ace1afCeladon,007ba7Celadon Blue,2f847cCeladon Green
7ebea5Celadon Porcelain,c6cab8Celadon Tint,ad134eCerise,ec3b83Cerise Pink,de3163Cerise Red,55aaeeCerulean,2a52beCerulean Blue,6d9bc3Cerulean Frost,343837Charcoal
595758Charcoal Dust,474f43Charcoal Smoke,cf0234Cherry,908279Cherry Bark,9f4d65Cherry Berry,f5c1d5Cherry Blossom,ffb7c5Cherry Blossom Pink,8e5e65Cherry Cocoa,f392a0Cherry Foam
cb6276Cherry Fruit,cc5160Cherry Hill,dd98a6Cherry Ice,6c2c45Cherry Juice Red,f9e7f4Cherry Pearl,c7607bCherry Pink,a10047Cherry Plum,f7022aCherry Red,e10646Cherry Velvet
b04556Cherry Wine,742802Chestnut,ab8508Chestnut Gold,2a4f21Chestnut Green,60281eChestnut Leather,852e19Chestnut Plum,6c333fChestnut Red,cd5252Chestnut Rose,4d5637Chive
86619fChive Blossom,a193bfChive Flower,9e5b40Chocolate Fountain,976f4cChocolate Milk,7f7453Chocolate Velvet,d26911Cinnamon,9e6a19Cinnamon Brown,ffbf6eCinnamon Buff
b15d63Cinnamon Candle,d1a79cCinnamon Cocoa,b78153Cinnamon Sand,cd607eCinnamon Satin,935f43Cinnamon Spice,9fb70aCitrus,f9a78dCitrus Hill,f6b96bCitrus Honey,b3d157Citrus Leaf
c3dc68Citrus Lime,e2cd52Citrus Spice,e6d943Citrus Sugar,b66a50Clay,bdc8b3Clay Ash,897e59Clay Creek,f8dca3Clay Dust,a68779Clay Marble,bdb298Clay Pebble,956a66Clay Ridge
c4eae0Clear Aqua,247afdClear Blue,12732bClear Green,a3bbdaClear Lake Trail,766cb0Clear Mauve,214f86Clear Night Sky,ee8800Clear Orange,64005eClear Plum,412a7aClear Purple
8eccfeClear Sky,367588Clear Viridian,5d8fbdCliff Blue,d0ab8cCliff Brown,b19475Cliff Rock,e4f0efCloud,ffa168Cloudberry,acc2d9Cloudy Blue,87715fCloudy Cinnamon,dfe6daCloudy Day
e3bc6fCloudy Honey,9d7aacCloudy Plum,6699aaCloudy Sea,c2d5daCloudy Sky,4b5f56Cloudy Viridian,876155Clove,766051Clove Brown,008f00Clover,006c44Clover Green,6fc288Clover Mist
cd9bc4Clover Pink,030aa7Cobalt,0264aeCobalt Stone,875f42Cocoa,4f3835Cocoa Bean,a08882Cocoa Berry,35281eCocoa Brown,7d675dCocoa Milk,a8816fCocoa Nutmeg,965a3eCoconut
e1dabbCoconut Cream,676d43Coconut Grove,7d6044Coconut Husk,6f4e37Coffee,6f0c0dCoffee Brick,88ddddCold Blue,008b3cCold Green,9f9f9fCold Grey,bca5adCold Pink,9d8abfCold Purple
88bb66Cold Spring,262335Cold Steel,a5d0cbCold Turquoise,c2e2e3Cold Wave,edfcfbCold White,e1e3e4Cold Wind,ffe2b7Cookie,96b3b3Cool,a9d99cCool Aloe,c4b47dCool Avocado,002e63Cool Black
4984b8Cool Blue,807b76Cool Charcoal,ba947bCool Clay,fbe5d9Cool Cream,7b9dadCool Dusk,33b864Cool Green,8c93adCool Grey,b3a6a5Cool Lavender,e5ccd1Cool Pink,aa23ffCool Purple
cfe0e4Cool Sky,9bd9e5Cool Water Lake,487678Cool Waters,dae6e2Cool White,eaefceCool Yellow,b87333Copper,77422cCopper Canyon,d89166Copper Cove,a35d31Copper Creek,c09078Copper Lake
398174Copper Mineral Green,946877Copper Pink,cb6d51Copper Red,f7a270Copper River,95524cCopper Rust,dc8c5dCopper Tan,38887fCopper Turquoise,ff7f50Coral,e29d94Coral Almond
ddb8a3Coral Bay,ffbbaaCoral Beach,f7bea2Coral Blossom,c2b1a1Coral Clay,dc958dCoral Cloud,068e9eCoral Coast,dda69fCoral Cove,ead6ceCoral Cream,fcd5c5Coral Dune,ffb48aCoral Dusk
edaa86Coral Dust,e3a9a2Coral Fountain,cf8179Coral Garden,cf714aCoral Gold,abe2cfCoral Green,e28980Coral Haze,e4694cCoral Orange,f88379Coral Pink,ca884eCoral Sand,f2a37dCoral Silk
ab6e67Coral Tree,fbec5dCorn,eec657Corn Bread,f8f3c4Corn Field,8d702aCorn Harvest,f2d6aeCorn Husk,cecd95Corn Husk Green,ee4411Corn Poppy Cherry,5170d7Cornflower
6c91c5Cornflower Blue,066976Cotton Indigo,9e003aCranberry,7e5350Cranberry Red,ffffc2Cream,f8c49aCream Blush,dcc356Cream Gold,eee3c6Cream Silk,e4c7b8Cream Tan,a9aabdCream Violet
efe8dbCreamy,ffe8bdCreamy Apricot,d8f19cCreamy Avocado,b3956cCreamy Caramel,dd7788Creamy Coral,eeddaaCreamy Ivory,fff0b2Creamy Lemon,aaffaaCreamy Mint,fe9c7bCreamy Orange Blush
f7c34cCreamy Sweet Corn,ab9d89Creek Bay,dbd7d9Creek Pebble,8c000fCrimson,c32f40Crimson Cloud,9f2d47Crimson Strawberry,c01b0cCrimson Sunset,b52604Crimson Velvet Sunset,c071a8Crocus
b99bc5Crocus Petal,a7d8deCrystal,cee9a0Crystal Apple,68a0b0Crystal Blue,6d2c32Crystal Dark Red,79d0a7Crystal Gem,ddffeeCrystal Glass,a4d579Crystal Green,cfc1b8Crystal Grey
fdc3c6Crystal Rose,006e81Crystal Teal,006400Cucumber,466353Cucumber Green,cdd79dCucumber Ice,c2f177Cucumber Milk,a58459Cumin,a06600Cumin Ochre,553e51Currant Violet,d6a332Curry
845038Curry Brown,cc6600Curry Powder,00ffffCyan,14a3c7Cyan Blue,28589cCyan Cobalt Blue,188bc2Cyan Cornflower Blue,00b5b8Cyan Sky,585d40Cypress,667c71Cypress Garden
5e6552Cypress Vine,ffe285Daffodil Yellow,8b4189Dahlia,b05988Dahlia Mauve,8774b0Dahlia Purple,fed340Daisy,55643bDaisy Leaf,1b2431Dark,6a6d6dDark Ash,5c464aDark Berry,315b7dDark Blue
624a49Dark Chocolate,4c3d31Dark Clove,33578aDark Cobalt Blue,008b8bDark Cyan,884455Dark Earth,3d2004Dark Ebony,00834eDark Emerald,0a480dDark Fern,573b4cDark Fig Violet
556962Dark Forest,4f443fDark Granite,033500Dark Green,4d5a7eDark Iris,66856fDark Ivy,5c8774Dark Jade,856798Dark Lavender,8bbe1bDark Lemon Lime,9c6da5Dark Lilac,84b701Dark Lime
7ebd01Dark Lime Green,8b008bDark Magenta,482029Dark Mahogany,3c0008Dark Maroon,003377Dark Midnight Blue,161718Dark Moon,1ab385Dark Mountain Meadow,40495bDark Navy,404b57Dark Night
373e02Dark Olive,c65102Dark Orange,653d7cDark Pansy,665fd1Dark Periwinkle,606865Dark Pewter,cb416bDark Pink,4f3a3cDark Puce,35063eDark Purple,6e576bDark Purple Grey
872657Dark Raspberry,3e4445Dark River,b5485dDark Rose,c85a53Dark Salmon,a88f59Dark Sand,082567Dark Sapphire,4c5560Dark Sea,3c1414Dark Sienna,909989Dark Sky,465352Dark Slate
214761Dark Slate Blue,4d52deDark Soft Violet,587a65Dark Sorrel,483c3cDark Taupe,014d4eDark Teal,817c87Dark Topaz,045c5aDark Turquoise,34013fDark Violet,56443eDark Walnut
4f301fDark Wood Grain,e7bf8eDark Yellow,9f9d91Dawn,fff9ecDay Lily,5b3082Deep Amethyst,78dbe2Deep Aquamarine,5c4a4dDeep Aubergine,3e5580Deep Azure,d99f50Deep Bamboo Yellow
040273Deep Blue,e36f8aDeep Blush,51412dDeep Bronze,342a2aDeep Brown,744456Deep Carmine,007bbbDeep Cerulean,b94e48Deep Chestnut,424769Deep Cobalt,da7c55Deep Coral,051040Deep Cove
4d4b4bDeep Earth,556551Deep Emerald,3c463eDeep Forest,5f4246Deep Garnet,5a9274Deep Grass Green,02590fDeep Green,4c567aDeep Indigo,005a6fDeep Lagoon,006c70Deep Lake
565a7dDeep Lavender,747962Deep Lichen Green,a0025cDeep Magenta,55aa66Deep Mint,544954Deep Mulberry,494c55Deep Night,2a4b5fDeep Ocean,dc4d01Deep Orange,525476Deep Orchid
7c83bcDeep Periwinkle,557138Deep Pine,4a2a59Deep Plum,014420Deep Pond,9a0200Deep Red,0079b3Deep River,ff9932Deep Saffron,167e65Deep Sea,d86157Deep Sea Coral,095859Deep Sea Green
514a3dDeep Shadow,737c84Deep Shale,0d75f8Deep Sky Blue,0f261fDeep Slate Green,172713Deep Slate Olive,726751Deep Tan,00555aDeep Teal,01b0bdDeep Turquoise,404f95Deep Ultramarine
313248Deep Velvet,330066Deep Violet,4b6443Deep Viridian,2a6fa1Deep Water,444172Deep Wisteria,bcdfe8Delicate Blue,fed9bcDelicate Dawn,c5ead3Delicate Frost,93b0a9Delicate Green
b6aed6Delicate Lilac,fdcdbdDelicate Sweet Apricot,ccad60Desert,c28996Desert Bud,80474eDesert Canyon,d16459Desert Coral,eddbe8Desert Dawn,b5ab9cDesert Dune,ad9a91Desert Dusk
e2bb8aDesert Dust,efcdb8Desert Field,ff8d82Desert Flower,deb181Desert Mist,d0bbb0Desert Morning,bea166Desert Moss,5f727aDesert Night,675239Desert Palm,d5c6bdDesert Rock
cd616bDesert Rose,90926fDesert Sage,bb7326Desert Sun,a38c6cDesert Tan,e5d295Desert Wind,a29259Desert Yellow,e7f2e9Dew,97b391Dew Green,6f7755Dill,a2a57bDill Grass,b6ac4bDill Green
b3b295Dill Seed,7b7d69Dried Chive,bbbbffDried Lilac,ff40ffDried Magenta,804a00Dried Mustard,683332Dried Plum,c33e29Dried Saffron,bbbca1Dried Thyme,968374Dry Brown,bd5c00Dry Clay
d8c7b6Dry Creek,efdfcfDry Dune,9ea26bDry Grass,769958Dry Moss,777672Dry Mud,de7e5dDry Peach,c22f4dDry Rose,8c8b76Dry Sage,eae4d6Dry Sand,d5c0a1Dune,c3a491Dune Beige
cbc5b1Dune Grass,4e5481Dusk,9a7483Dusk Wine,b2996eDust,bddacaDusty Aqua,8093a4Dusty Blue,9a7e68Dusty Canyon,d29b83Dusty Coral,d7b999Dusty Gold,76a973Dusty Green,cdccd0Dusty Grey
8990a3Dusty Heather,f1ddbeDusty Ivory,71af98Dusty Jade Green,ac86a8Dusty Lavender,676658Dusty Olive,d58a94Dusty Pink,d7d0e1Dusty Plum,825f87Dusty Purple,b9484eDusty Red
95a3a6Dusty Sky,4c9085Dusty Teal,c9bba3Dusty Trail,a2653eEarth,49433bEarth Black,4f1507Earth Brown,705364Earth Brown Violet,545f5bEarth Green,b57770Earth Rose,e1a95fEarth Yellow
313337Ebony,2c3227Ebony Wood,c1e7ebEgg Blue,ffd98cEgg Cream,ffefc1Egg White,430541Eggplant,656579Eggplant Ash,531b93Eggplant Tint,2e2249Elderberry,1e323bElderberry Black,297b76Elm
b25b09Elm Brown Red,577657Elm Green,028f1eEmerald,4f8129Emerald Clear Green,009185Emerald Coast,069261Emerald Lake,80c872Emerald Rain,095155Emerald Spring,016360Emerald Stone
4fb3a9Emerald Wave,c49087Evening Blush,454341Evening Canyon,56736fEvening Emerald,8c9997Evening Fog,7c7a3aEvening Green,5868aeEvening Lagoon,4d4469Evening Lavender
463f67Evening Mauve,a7879aEvening Pink,c2d61dEvening Primrose,ddb3abEvening Sand,26604fEvening Sea,a1838bEvening Shadow,465058Evening Storm,125b49Evergreen,0e695fEvergreen Forest
045e17Evergreen Shade,6f7568Evergreen Trail,658cbbFaded Blue,7bb274Faded Green,f0944dFaded Orange,887383Faded Orchid,de9dacFaded Pink,916e99Faded Purple,d3494eFaded Red
bf6464Faded Rose,8d9caeFaded Sea,71452aFawn Brown,edd382Feather Gold,a3d0b6Feather Green,8fce9bFennel,77aaffFennel Flower,8f7f50Fennel Seed,d2f4ddFennel Tea,548d44Fern
576a7dFern Flower,009b54Fern Green,837b53Fern Grove,797447Fern Shade,4477aaField Blue,c5e6a4Field Day,60b922Field Green,80884eField Maple,d86f3cField Poppy,5a3140Fig,556b2fFig Leaf
605f4bFig Tree,fcaf52Flare,5577aaFlax Flower,4499ddFlax Flower Blue,7b8265Flax Smoke,cbaa7dFlax Straw,716e61Flint,a09c98Flint Grey,a8b2b1Flint Smoke,f27987Flower Blossom Pink
d9a96fFlower Field,d0eae8Foam,90fda9Foam Green,d6d7d2Fog,0b5509Forest,956378Forest Berry,63b76cForest Fern,6e2759Forest Fruit Red,154406Forest Green,9aa22bForest Lichen
858f83Forest Moss,434237Forest Night,216957Forest Rain,c8caa4Forest Sand,91ac80Forest Shade,56b5caFountain,65adb2Fountain Blue,b57c8cFoxglove,d2693eFresh Acorn,97a346Fresh Apple
ffd7a5Fresh Apricot,7c8447Fresh Artichoke,a52a24Fresh Auburn,8bd6e2Fresh Blue,beeddcFresh Breeze,a77f74Fresh Cedar,995511Fresh Cinnamon,be8035Fresh Clay,f0f4e5Fresh Dew
4f467eFresh Eggplant,69d84fFresh Green,d1c1ddFresh Heather,8e90b4Fresh Lavender,93ef10Fresh Leaf,b2d58cFresh Lettuce,d8f1cbFresh Lime,2a5443Fresh Mint,daa674Fresh Nectar
a69e73Fresh Olive,5b8930Fresh Onion,4f5b49Fresh Pine,f3d64fFresh Pineapple,e19091Fresh Pink,c7c176Fresh Sprout,eecc66Fresh Straw,aebda8Fresh Thyme,40e0d0Fresh Turquoise
c6e3f7Fresh Water,e1e4c5Frost,daebefFrost Wind,d2c2acFrosted Almond,78b185Frosted Emerald,e2f7d9Frosted Garden,aaeeaaFrosted Hills,ccffc2Frosted Mint Hills,c6d1c4Frosted Sage
f6d8d7Frosted Tulip,cbe9c9Frosty Dawn,a0c0bfFrosty Glade,efe8e8Frosty Morning,578270Frosty Spruce,fa8970Fruit Red,eac064Fruit Yellow,ed0dd9Fuchsia,7a58c1Fuchsia Blue
e47cb8Fuchsia Blush,ff77ffFuchsia Pink,d33479Fuchsia Purple,b73879Fuchsia Red,c74375Fuchsia Rose,c255c1Fuchsia Tint,583d43Fudge,9fac98Garden,506a48Garden Cucumber
a892a8Garden Flower,729588Garden Fountain,d9d7a1Garden Glade,4e6539Garden Green,5e7f57Garden Grove,d7deacGarden Leek,424330Garden Path,9d8292Garden Plum,a18b62Garden Salt Green
334400Garden Shadow,ab863aGarden Sprout,eddf5eGarlic Butter,733635Garnet,354a41Garnet Black Green,763b42Garnet Evening,cc7446Garnet Sand,384866Garnet Stone Blue,4d5b8aGem
53c2c3Gem Turquoise,c3cc6eGentle Dill,908a9bGentle Grape,958c9eGentle Mauve,99bdd2Gentle Sky,abd0eaGentle Wind,dc465dGeranium,cfa1c7Geranium Bud,90ac74Geranium Leaf
efe0d7Ginger Cream,996251Ginger Gold,ffffaaGinger Lemon Tea,f7a454Ginger Milk,c17444Ginger Root,be8774Ginger Rose,b65d48Ginger Spice,b19d77Ginger Tea,78b1bfGlacier
62b4c0Glacier Lake,9ca687Glade,5f8151Glade Green,cdb69bGlass Sand,b7a2ccGlass Violet,ffd700Gold,2a2424Gold Black,ecc481Gold Buff,ae9769Gold Canyon,db9663Gold Earth,edbb26Gold Leaf
b17743Gold Metal,db7210Gold Orange,eb5406Gold Red,dec283Gold Tint,f5bf03Golden,dba950Golden Apricot,cea277Golden Beige,b27a01Golden Brown,968651Golden Clay,f0b672Golden Corn
b29155Golden Egg,bdd5b1Golden Elm,c39e44Golden Field,f0ead2Golden Fog,c59137Golden Grain,daa631Golden Grass,bdb369Golden Green,cccc11Golden Harvest,fcd896Golden Haze
f2cf34Golden Kiwi,c48b42Golden Leaf,928d35Golden Lime,d4c990Golden Mist,a96a28Golden Oak,c56f3bGolden Ochre,ab9c40Golden Olive,a58705Golden Palm,f4d9b9Golden Pastel
f8d878Golden Raspberry,c6973fGolden Spice,f5edaeGolden Straw,a23f5dGooseberry,c7a94aGooseberry Yellow,746a5eGranite,3d2d24Granite Brown,6c6f78Granite Canyon,6b6869Granite Grey
6c3461Grape,24486cGrape Blue,a8e4a0Grape Green,6d6166Grape Grey,807697Grape Harvest,606a88Grape Haze,5533ccGrape Hyacinth,979ac4Grape Ivy,772f6cGrape Juice,5a5749Grape Leaf
576049Grape Leaves,8d5c75Grape Nectar,5d1451Grape Purple,b69abcGrape Smoke,797f5aGrape Vine,5cac2dGrass,ceb02aGrass Daisy,ca84fcGrass Pink Orchid,4a4b46Gravel,00ff00Green
5edc1fGreen Apple,95d6a1Green Ash,a8b453Green Banana,7e9285Green Bay,42b395Green Blue,358082Green Blue Slate,696006Green Brown,bcdf8aGreen Chalk,889988Green Clay
868e65Green Coconut,009966Green Cyan,6e7a77Green Dusk,b3a476Green Fig,989a87Green Fog,d0d6bfGreen Frost,e7f0c2Green Glacier,c5b088Green Gold,b0dfa4Green Gooseberry,7ea07aGreen Grey
01a368Green Haze,007800Green Hills,11887bGreen Ink,3bde39Green Juice,393d2aGreen Kelp,008684Green Lapis,c1cec1Green Lily,bfc298Green Mist,887e48Green Moss,9f8f55Green Ochre
8d8b55Green Olive,266242Green Pea,79be58Green Pear,97bc62Green Pepper,a2c2b0Green Silk,859d66Green Sky,9ca664Green Smoke,9eb788Green Snow,589f7eGreen Spruce,b5b68fGreen Tea
0cb577Green Teal,679591Green Turquoise,51755bGreen Valley,127453Green Velvet,c3dcd5Green Wave,c6f808Green Yellow,40a368Greenish,c9d179Greenish Beige,96ae8dGreenish Grey
bccb7aGreenish Tan,32bf84Greenish Teal,00fbb0Greenish Turquoise,808080Grey,465945Grey Asparagus,77a1b5Grey Blue,6c8096Grey Blueberry,7f7053Grey Brown,7a5063Grey Carmine
bbc1ccGrey Dawn,897f98Grey Dusk,86a17dGrey Green,868790Grey Heather,d4cacdGrey Lilac,cab8abGrey Mauve,96acabGrey Mist,9eb0aaGrey Morning,c3c3bdGrey Nickel,c3909bGrey Pink
826d8cGrey Purple,c6b6b2Grey Rose,e5caafGrey Sand,5e9b8aGrey Teal,cfcac7Greyish,555152Greyish Black,5e819dGreyish Blue,82a67dGreyish Green,c88d94Greyish Pink,887191Greyish Purple
719f91Greyish Teal,877254Greyish Yellow,495867Harbour,417491Harbour Blue,afb1b4Harbour Fog,dae1e3Harbour Mist,778071Harbour Mist Grey,eacb9dHarvest,eab76aHarvest Gold
de6931Harvest Haze,554488Harvest Night,65564fHarvest Oak,cd632aHarvest Pumpkin,cc1111Hawthorn Berry,eeffaaHawthorn Blossom,884c5eHawthorn Rose,c8c2c6Haze,a36b4bHazel,f2cc99Hazy Day
f2f1dcHazy Grove,c8c6ceHazy Mauve,f1dca1Hazy Moon,b39897Hazy Rose,b7bdd6Hazy Sky,4f2a2cHeath,9acda9Heath Green,a484acHeather,e75480Heather Berry,69684bHemlock,eceedfHemlock Bud
b6316cHibiscus,bc555eHibiscus Flower,6e826eHibiscus Leaf,edaaacHibiscus Petal,a33737Hibiscus Red,ae8934Honey,5c3c6dHoney Flower,ba6219Honey Ginger,e1b67cHoney Gold
dcb149Honey Grove,a46d5cHoney Maple,e5d9b2Honey Mist,dbbf9aHoney Peach,cc99aaHoney Pink,d8be89Honey Tea,ca9456Honey Yellow,b7a793Humus,b2994bHusk,936ca7Hyacinth
6f729fHyacinth Mauve,a75536Hyacinth Red,9b4d93Hyacinth Violet,d6fffaIce,739bd0Ice Blue,d2eaf1Ice Cold,d9ebacIce Cold Green,a6e3e0Ice Crystal Blue,cac7c4Ice Grey,c9c2ddIce Mauve
b6dbbfIce Mist,a7d4d9Iced Aqua,c8e4b9Iced Avocado,e8c7bfIced Cherry,aa895dIced Coffee,d0ae9aIced Copper,c2c7dbIced Lavender,e8dce3Iced Mauve,8e7d89Iced Orchid,b87253Iced Tea
afa9afIced Tulip,d1afb7Iced Watermelon,bbc7d2Icy,c4ecf0Icy Breeze,e6e9f9Icy Lilac,f5ced8Icy Pink,d6dfe8Icy Teal,4b0082Indigo,002e51Indigo Black,3a18b1Indigo Blue
006ec7Indigo Carmine,393432Indigo Ink Brown,393f4cIndigo Iron,5d76cbIndigo Light,4c5e87Indigo Navy Blue,324680Indigo Night,660099Indigo Purple,695a78Indigo Red,252024Ink Black
0c5a77Ink Blue,5a4fcfIris,e0e3efIris Ice,b39b94Iris Mauve,a767a2Iris Orchid,6b6273Iris Petal,cab9beIris Pink,5e5e5eIron,114b91Iron Blue,6e3b31Iron Flint,e7661eIron Orange
114e56Iron Teal,8adacfIsland Breeze,d8877aIsland Coral,6c7e71Island Palm,81d7d0Island Sea,ebd999Ivory Buff,818068Ivy Garden,585442Ivy Green,00a86bJade,59b587Jade Cream
cedddaJade Dust,00ced1Jade Glass,0abab5Jade Gravel,779977Jade Green,9dca7bJade Lime,d6e9d7Jade Mist,34c2a7Jade Mountain,2baf6aJade Powder,74bb83Jade Stone Green,fff4bbJasmine
79c63dJasmine Green,442238Juice Violet,74918eJuniper,798884Juniper Ash,3f626eJuniper Berry Blue,567f69Juniper Green,4d503cKelp,716246Kelp Brown,448811Kelp Forest,c3b091Khaki
728639Khaki Green,749e4eKiwi,8ee53fKiwi Green,e5e7a7Kiwi Ice Cream,4b9b93Lagoon,43bcbeLagoon Rock,92cdccLake,009eafLake Blue,aed4d2Lake Breeze,2e8b57Lake Green,b74a70Lake Red
3e6b83Lake Stream,86aba5Lake Water,00508dLapis Blue,6e8d71Laurel,acb5a1Laurel Mist,55403eLaurel Nut Brown,918c7eLaurel Oak,f7e1dcLaurel Pink,b56edcLavender,b57edcLavender Blossom
ccccffLavender Blue,8b88f8Lavender Blue Shadow,b8abb1Lavender Cloud,c79fefLavender Cream,c5b5ccLavender Fog,bdabbeLavender Frost,9457ebLavender Indigo,ee82edLavender Magenta
687698Lavender Mauve,e5e5faLavender Mist,967bb6Lavender Purple,fba0e3Lavender Rose,d783ffLavender Tea,767ba5Lavender Violet,d2c9dfLavender Water,212121Lead,8a7963Lead Grey
71aa34Leaf,eff19dLeaf Bud,906a54Leather,98d98eLeek,bca3b8Leek Blossom Pink,b7b17aLeek Powder,cedccaLeek White,fff700Lemon,fee193Lemon Cream,cda323Lemon Curry,968428Lemon Ginger
adf802Lemon Green,ffffecLemon Juice,bffe28Lemon Lime,ebeca7Lemon Pepper,e1ae58Lemon Poppy,fbe9acLemon Rose,f0f6ddLemon Sugar,e4cf86Lemon Thyme,fcf3cbLemon Tint,f2ed6bLemon Verbena
dcc8b0Lentil,a09548Lentil Sprout,b9d087Lettuce Green,8ebaa6Lichen,5d89b3Lichen Blue,dde7aeLichen Gold,9da693Lichen Green,697056Lichen Moss,ed9a76Light Amber Orange
c2a487Light Ash Brown,9db567Light Birch Green,add8e6Light Blue,cfe0f2Light Breeze,b5651dLight Brown,726e68Light Charcoal,c48f4bLight Copper,93cceaLight Cornflower Blue
e0ffffLight Cyan,d7efd5Light Frosty Dawn,70aa7cLight Grass Green,76ff7bLight Green,998d7cLight Khaki,efc0feLight Lavender,dcc6d2Light Lilac,b6ffbbLight Mint,d2b183Light Oak
e6a8d7Light Orchid,b2fba5Light Pastel Green,c1c6fcLight Periwinkle,ffd1dfLight Pink,fedfdcLight Pink Clay,c4d9efLight Powder Blue,ff7f7fLight Red,b3b0a3Light Sage
b7cdd9Light Sea Breeze,a7ffb5Light Seafoam Green,dcd1ccLight Stone,b19d8dLight Taupe,d5d0cbLight Taupe White,b1ccc5Light Teal,d0756fLight Tomato,7ef4ccLight Turquoise
d6b4fcLight Violet,c2ff89Light Yellowish Green,cea2fdLilac,9a93a9Lilac Blossom,8293acLilac Blue,a590c0Lilac Breeze,b2badbLilac Flare,d5b6d4Lilac Haze,c6a1cfLilac Lace
d6d0d6Lilac Mauve,c09dc8Lilac Pink,a183c0Lilac Purple,bd4275Lilac Rose,dcc0d3Lilac Snow,8822ccLilac Spring,754a80Lilac Violet,c19fb3Lily,deead8Lily Pond,aaff32Lime
f4f2d3Lime Blossom,d0e3adLime Cream,8ead2cLime Green,d1dd86Lime Ice,e5e896Lime Juice Green,ddffaaLime Mist,b6848cLime Pink,d8d06bLime Tree,d0fe1dLime Yellow,a5af9dLimestone Green
faf0e6Linen,466163Linen Grey,443724Loam,8b504bLotus,93a79eLotus Leaf,d1717bLotus Red,ff00ffMagenta,a44775Magenta Haze,513d3cMagenta Ink,cc338bMagenta Pink,762a54Magenta Purple
913977Magenta Red,bb989fMagenta Twilight,6c5389Magenta Violet,fff9e4Magnolia,c04000Mahogany,812308Mahogany Brown,f37a48Mandarin,ec6a37Mandarin Orange,e84f3cMandarin Red,ffa62bMango
bb8434Mango Brown,96ff00Mango Green,f7bd8dMango Ice,ffd49dMango Nectar,ff8b58Mango Orange,b88e72Maple,fad0a1Maple Beige,f3e5cbMarble Dust,646255Marble Garden,a9606eMarble Red
f5cc3dMarigold Dust,fbe870Marigold Yellow,800000Maroon,bf3160Maroon Light,520c17Maroon Oak,5c5337Marsh,6b8781Marsh Creek,b6ca90Marsh Fern,d4c477Marsh Field,c6d8c7Marsh Fog
82763dMarsh Grass,e8e1a1Marsh Mist,c4a3bfMarsh Orchid,e0b0ffMauve,62595fMauve Brown,ac8c8cMauve Day,545883Mauve Dusk,c49bd4Mauve Mist,b59eadMauve Muslin,ab728dMauve Orchid
bebbc0Mauve Pansy,c4bab6Mauve Stone,915f6dMauve Taupe,653c4aMauve Wine,81b489Meadow,7ab2d4Meadow Blossom Blue,ac5d91Meadow Mauve,ccd8baMeadow Mist,8d8168Meadow Trail
764f82Meadow Violet,f7da90Meadow Yellow,66ddaaMedium Aquamarine,0000cdMedium Blue,7f5112Medium Brown,af4035Medium Carmine,418c53Medium Green,4d6b53Medium Grey Green
dda0fdMedium Lavender Magenta,ba55d3Medium Orchid,f36196Medium Pink,9e43a2Medium Purple,bb3385Medium Red Violet,aa4069Medium Ruby,3cb371Medium Sea Green,80daebMedium Sky Blue
7b68eeMedium Slate Blue,c9dc87Medium Spring Bud,674c47Medium Taupe,dc9d8bMedium Terracotta,48d1ccMedium Turquoise,d9603bMedium Vermilion,c71585Medium Violet Red,a68064Medium Wood
f8b878Mellow Apricot,d5af91Mellow Buff,f1dfe9Mellow Flower,d5d593Mellow Green,cc4400Mellow Mango,9c6579Mellow Mauve,ee2266Mellow Melon,ddedbdMellow Mint,f5d39cMellow Sun
ff7855Melon,74ac8dMelon Green,f4d9c8Melon Ice,e88092Melon Mist,f08f48Melon Orange,f1d4c4Melon Pink,f69268Melon Red,332c22Melon Seed,fdbcb4Melon Water,babfbcMetal,677986Metal Grey
b090b2Metal Petal,03012dMidnight,853c69Midnight Aubergine,020035Midnight Blue,979fbfMidnight Blush,3c574eMidnight Clover,004953Midnight Green,3e505fMidnight Haze
484d61Midnight Iris,242e28Midnight Moss,364251Midnight Navy,0f2d4dMidnight Ocean,280137Midnight Purple,565b8dMidnight Sea,4e5a6dMidnight Sun,2a2243Midnight Velvet,fdfff5Milk
7f4e1eMilk Chocolate,966f5dMilk Coffee Brown,f6ffe8Milk Foam,e2dcd4Milky,72a8baMilky Blue,aea3d0Milky Lavender,6bb3dbMilky Waves,f8dd74Milky Yellow,506355Mineral Green
b35457Mineral Red,d19a3bMineral Yellow,3eb489Mint,bce0dfMint Blue,ccffeeMint Coffee,6cbba0Mint Cold Green,f5fffaMint Cream,487d4aMint Green,bde8d8Mint Ice,98cdb5Mint Ice Cream
00cfb0Mint Leaf,6a7d4eMint Leaves,00ddccMint Morning,afeee1Mint Tea,f8eed6Mist Yellow,cdd2d2Misty,83bbc1Misty Cold Sea,65434dMisty Grape,acd0bbMisty Jade,c2d5c4Misty Lake
d3e1d3Misty Marsh,bec0b0Misty Meadow,b2c8bdMisty Morning,bbb477Misty Moss,ffe4e1Misty Rose,bdc389Misty Valley,bcd1c7Moon Glass,e6e6e7Moon Lily,897d76Moon Rock,96a5b8Moon Shadow
eaf4fcMoon White,b0b9acMorning Dew,6dae81Morning Forest,89bab2Morning Green,cabd94Morning Tea,009051Moss,6b7061Moss Beach,715b2eMoss Brown,afab97Moss Grey,c7cac1Moss Ink
dee1d3Moss Mist,5e5b4dMoss Rock,8f6d6bMoss Rose,857349Mossy,9c9273Mossy Gold,5a7c46Mossy Green,848178Mossy Oak,a9965dMossy Rock,7e6c44Mossy Shade,e7f2deMossy White
cc7700Mountain Ash,3c4b6cMountain Blueberry,383c49Mountain Fig,6c71a6Mountain Flower Mauve,6c6e7eMountain Haze,2d5975Mountain Lake,4cbca7Mountain Lake Azure
85d4d4Mountain Lake Blue,f4c8d5Mountain Laurel,30ba8fMountain Meadow,418638Mountain Meadow Green,a7e0c2Mountain Mint,3b5257Mountain Pine,75665eMountain Ridge,d9e1c1Mountain Spring
96afb7Mountain Stream,615742Mountain Trail,70543eMud,60460fMud Brown,606602Mud Green,dcc0c3Mud Pink,a13905Muddy,886806Muddy Brown,3f6976Muddy Cyan,657432Muddy Green
e4b3ccMuddy Mauve,4b5d46Muddy Olive,715d3dMuddy River,bfac05Muddy Yellow,920a4eMulberry,956f29Mulberry Brown,463f60Mulberry Mauve Black,4a3c62Mulberry Purple,94766cMulberry Silk
997c85Mulberry Wine,5c0536Mulberry Wood,906e58Mushroom Brown,d3d1c4Muslin,ceb301Mustard,d8b076Mustard Field,d2bd0aMustard Flower,a6894bMustard Gold,a8b504Mustard Green
c69f26Mustard Seed,c5a574Mustard Seed Beige,e1ad01Mustard Yellow,c39449Narcissus,fe5b2eNasturtium,e64d1dNasturtium Flower,87b369Nasturtium Leaf,a48b74Natural,6d574dNatural Bark
8b655aNatural Copper,bccd91Natural Green,003740Natural Indigo,a80e00Natural Leather,f1ebc8Natural Light,aa838bNatural Spring,aea295Natural Stone,dcd2c3Natural Tan
eed88bNatural Yellow,01153eNavy,263032Navy Black,000080Navy Blue,004c6aNavy Dark Blue,35530aNavy Green,223a5eNavy Peony,20576eNavy Teal,7f4c64Nectar Red,bbac7dNettle
364c2eNettle Green,ffe6c3Neutral Peach,8b694dNeutral Valley,040348Night Blue,44281bNight Brown,2d1962Night Fog,302f27Night Green,45444dNight Grey,11ffbbNight Pearl,3c2727Night Red
292b31Night Sky,aaccffNight Snow,6b7ba7Night Thistle,003833Night Turquoise,d7e2dbNight Wind,9e8a6dNut,86695eNut Brown,d9ccc8Nut Milk,7e4a3bNutmeg,715636Oak Barrel,a18d80Oak Brown
cf9c63Oak Buff,5d504aOak Creek,f1d694Oat Straw,005493Ocean,3d9973Ocean Green,637195Ocean Night,7594b3Ocean Ridge,5b7886Ocean Shadow,3f677eOcean Storm,7dbcaaOcean Wave,cc7722Ochre
9f7b3eOchre Brown,cc7733Ochre Maroon,e96d03Ochre Spice,929000Old Asparagus,769164Old Bamboo,dbc2abOld Bone,8a3335Old Brick,43302eOld Burgundy,e3d6e9Old Chalk,704241Old Coffee
614051Old Eggplant,c66787Old Geranium,cfb53bOld Gold,839573Old Green,ffffcbOld Ivory,fdf5e6Old Lace,796878Old Lavender,aec571Old Lime,4a0100Old Mahogany,8e2323Old Mandarin
673147Old Mauve,c77986Old Pink,c08081Old Rose,848482Old Silver,bb8811Old Trail,687760Old Vine,808010Olive,645403Olive Brown,bcd382Olive Buff,888064Olive Haze,4e4b35Olive Leaf
837752Olive Ochre,9abf8dOlive Sand,aba77cOlive Tree,c2b709Olive Yellow,48412bOnion,aee0e4Opal,fceeceOpal Cream,157954Opal Green,9a9394Opal Grey,9db9b2Opal Silk,96d1c3Opal Turquoise
7e8fbbOpal Violet,b1c6d1Opal Waters,ffa500Orange,b16002Orange Brown,de954bOrange Caramel,fad48bOrange Chalk,e6a57fOrange Clay,fe4c40Orange Dusk,fbaf8dOrange Grove
ff9a45Orange Hibiscus,ffdec1Orange Ice,ff7f00Orange Juice,be7249Orange Lily,d3a083Orange Maple,da7631Orange Ochre,da7d00Orange Pepper,ff6f52Orange Pink,e68750Orange Poppy
fe4401Orange Red,ff8379Orange Tea Rose,b74923Orange Wood,fdb915Orange Yellow,7a81ffOrchid,5e5871Orchid Grey,b0879bOrchid Haze,e0d0dbOrchid Ice,ffa180Orchid Orange,ad878dOrchid Red
e9d1daOrchid Rose,d3c9d4Orchid Tint,e3d3bfOyster,cbc1aeOyster Grey,d4b5b0Oyster Pink,cbc4a2Oyster White,fff9d0Pale,bcd4e1Pale Aqua,f5e28dPale Banana,e39e9cPale Berry
fde1f0Pale Blossom,dfafa4Pale Blush,f1efa6Pale Canary,9bc4e2Pale Cerulean,fdeff2Pale Cherry Blossom,f0d0b4Pale Coral,fde89aPale Daffodil,fde8d0Pale Egg,698aabPale Flower
c7e1eePale Frost,fdde6cPale Gold,c0a2c7Pale Grape,69b076Pale Green,8895c5Pale Iris,d4cfb2Pale Ivy,77c3b4Pale Jade,998877Pale Khaki,dcd0ffPale Lavender,bdcaa8Pale Leaf
d8d4bfPale Lichen,b1fc99Pale Light Green,d8b5bfPale Lilac,b1ff65Pale Lime Green,dfe497Pale Lime Yellow,ffbb44Pale Marigold,c6a4a4Pale Mauve,aac2a1Pale Mint,dcc797Pale Moss
d3c7a1Pale Olive,f6e2ecPale Orchid Petal,9adedbPale Pastel,ffe5adPale Peach,f4da6ePale Pear,fff2dePale Pearl,d4acadPale Persimmon,efcddbPale Pink,b790d4Pale Purple,efd6daPale Rose
acbda1Pale Sage,e5d5baPale Sand,cacfdcPale Shale,bdf6fePale Sky,9fabadPale Slate,b3be98Pale Spring Morning,82cbb2Pale Teal,a5fbd5Pale Turquoise,c6c3d6Pale Violet,89ab98Pale Willow
bbc8e6Pale Wisteria,ead2a2Pale Wood,afaf5ePalm,dbe2c9Palm Breeze,20392cPalm Green,36482fPalm Leaf,edd69dPalm Sugar Yellow,f75394Pansy,7f8fcaPansy Garden,5f4561Pansy Petal
78184aPansy Purple,d7ac7fPaper Brown,7c2d37Paprika,fefcafParchment,5a9f4dParsley Green,a2bffePastel Blue,836953Pastel Brown,dfd8e1Pastel Day,77dd77Pastel Green,d2f0e0Pastel Jade
d8a1c4Pastel Lavender,bdb0d0Pastel Lilac,b9d786Pastel Lime,f49ac2Pastel Magenta,a9c9afPastel Meadow,cef0ccPastel Mint,add0b3Pastel Mint Green,ff964fPastel Orange
b39eb5Pastel Purple,ff6961Pastel Red,e4c5b0Pastel Rose Tan,ef4f4cPastel Strawberry,99c5c4Pastel Turquoise,cb99c9Pastel Violet,fdfd96Pastel Yellow,a4bf20Pea,7c9865Pea Aubergine
ffb07cPeach,fb9f93Peach Amber,efc4bbPeach Ash,cd9489Peach Beige,dc7a83Peach Blossom,dcbeb5Peach Blush,e5ccbdPeach Brick,fdb2abPeach Bud,cc99bbPeach Buff,ffac3aPeach Butter
e198b4Peach Flower,ffcfabPeach Juice,ffae96Peach Nectar,ffcc99Peach Orange,ddaaaaPeach Poppy,f4b087Peach Quartz,f9cdc4Peach Red,f6e3d5Peach Rose,efa498Peach Tile,fadfadPeach Yellow
7a4434Peanut,be893fPeanut Butter,d1e231Pear,e3de92Pear Tint,eae0c8Pearl,7fc6ccPearl Bay,76727fPearl Blackberry,377b70Pearl Green,dfd3d4Pearl Rose,766d52Peat,5a3d29Peat Brown
4a352bPeat Moss,6c5755Peat Red Brown,9d9880Pebble,f3e1caPebble Cream,d5bc94Pebble Path,eb8f9dPeony,d8c1bePeony Blush,9f86b7Peony Mauve,7e9242Pepper Sprout,8e82fePeriwinkle
8b9ab9Periwinkle Blossom,8f99fbPeriwinkle Blue,c3cde6Periwinkle Grey,8cb7d7Periwinkle Sky,e59b34Persimmon,934337Persimmon Juice,a74e4aPersimmon Red,f4e5e0Petal Pink
53465dPetal Purple,91a092Pewter,8ba8b7Pewter Blue,5e6259Pewter Green,a7a19ePewter Grey,2b5d34Pine,887468Pine Bark,415241Pine Forest,bdc07ePine Glade,ebc79ePine Grain
0a481ePine Green,273f39Pine Grove,839b5cPine Leaves,d5d8bcPine Mist,6d9185Pine Ridge,9c9f75Pine Trail,2a2f23Pine Tree,e5e7d5Pine Water,563c0dPineapple,f8e87bPineapple Juice
fd645fPineapple Salmon,dbbc6cPineapple Wine,ffc0cbPink,f6c3a6Pink Beach,f4acb6Pink Blush,ed7a9ePink Carnation,f2a3bdPink Chalk,ffd5d1Pink Clay,f5d1c8Pink Cloud,b94c66Pink Dahlia
e4b5b2Pink Dust,b08272Pink Earth,d8b4b6Pink Flare,d2738fPink Garnet,bd9e97Pink Granite,f2bddfPink Heath,b36c86Pink Hibiscus,cf9fa9Pink Ice,ff1476Pink Ink,d9afcaPink Lavender
f8d0e7Pink Lily,d2bfc4Pink Linen,fadbd7Pink Lotus,e5d0caPink Marble,e6bccdPink Mist,d8aab7Pink Nectar,ff9066Pink Orange,da70d6Pink Orchid,e7accfPink Pearl,e1bed9Pink Peony
ef586cPink Pepper,ead2d2Pink Plum,8e6e74Pink Poppy,db4bdaPink Purple,ffbbeePink Quartz,ab485bPink Quince,f5054fPink Red,feab9aPink Rose Bud,dfb19bPink Sand,ffbbddPink Satin
cd7584Pink Shade,eeaaffPink Sugar,985672Pink Tulip,e0c9c4Pink Water,d46a7ePinkish,b17261Pinkish Brown,d648d7Pinkish Purple,f10c45Pinkish Red,d99b82Pinkish Tan,fff1faPinkish White
93c572Pistachio,c5d498Pistachio Cream,a9d39ePistachio Green,66386aPlum,f2a0a1Plum Blossom,4b6176Plum Blue,4e4247Plum Brown,aa4c8fPlum Dust,b1a7b6Plum Frost,695c39Plum Green
674555Plum Harvest,8b7574Plum Haze,463c4ePlum Island,dea1ddPlum Juice,78738bPlum Shade,7c707cPlum Shadow,b6a19bPlum Taupe,734d58Plum Wine,71a6d2Polar Ice,adafbdPolar Mist
b4dfedPolar Wind,8bb6c6Pond Blue,01796fPond Moss,a29f46Poplar,c23c47Poppy,88a496Poppy Leaf,dd3845Poppy Red,f0dbd5Porcelain Blush,eeffbbPorcelain Earth,118c7ePorcelain Green
ecd9b9Porcelain Pink,ea6b6aPorcelain Rose,b7b7bcPowder Dust,fdd6e5Powder Pink,95396aPowder Red,f5b3bcPowder Rose,341c02Powdered Cocoa,a0450ePowdered Coffee,e8d2b1Powdered Gold
c3c9e6Powdered Granite,c5c56aPowdered Green Tea,0b9d6aPrairie,935444Prairie Clay,fbd5bdPrairie Dune,b9ab8fPrairie Dust,50a400Prairie Green,8e7d5dPrairie Grove,ae5f55Prairie Poppy
f2c8bePrairie Rose,b3a98cPrairie Sage,883c32Prairie Sand,eea372Prairie Sun,d6859fPrimrose,ffe262Primrose Path,e7c2caPrimrose Pink,f6d155Primrose Yellow,cc8899Puce,ff7518Pumpkin
286848Pumpkin Green,183425Pumpkin Green Black,fffdd8Pumpkin Seed,b2691aPumpkin Spice,800080Purple,8866ffPurple Anemone,8f8395Purple Ash,5c4450Purple Basil,4c4a74Purple Berry
661aeePurple Blue,673a3fPurple Brown,3d34a5Purple Cabbage,c4adc9Purple Chalk,7c6b76Purple Dusk,866f85Purple Grey,bab8d3Purple Heather,9a2ca0Purple Ink,9a8891Purple Mauve
c83cb9Purple Pink,9c51b6Purple Plum,af9fcaPurple Rose,75697ePurple Sage,c2b2f0Purple Sand,754b8fPurple Sapphire,4e2e53Purple Shade,62547ePurple Sky,605467Purple Stone
50404dPurple Taupe,483b56Purple Velvet,46354bPurple Verbena,d3c2cfPurple White,97397fPurple Wine,98568dPurplish,6140efPurplish Blue,6b4247Purplish Brown,df4ec8Purplish Pink
d9d9f3Quartz,6e7c45Quartz Green,a9aaabQuartz Sand,d4cb60Quince,a42e41Radish,abbebfRain,919fa1Rain Cloud,677276Rain Shadow,0044ffRare Blue,a6a69bRare Grey,dd1133Rare Red
cc0022Rare Rhubarb,00748eRare Turquoise,55ffccRare Wind,b00149Raspberry,9f3753Raspberry Ice Red,044f3bRaspberry Leaf Green,9a1a60Raspberry Magenta,e25098Raspberry Pink
b3436cRaspberry Rose,b63753Raspberry Wine,ff0000Red,8e3738Red Bay,3d0c02Red Bean,701f28Red Berry,9d2b22Red Birch,a52a2fRed Brown,534a77Red Cabbage,d87678Red Cedar,ed7777Red Chalk
8f4b41Red Clay,bb8580Red Clover,ff4040Red Coral,85222bRed Dahlia,e8dedbRed Dust,a2816eRed Earth,d76968Red Geranium,b8866eRed Gravel,99686aRed Grey,ac3235Red Ink,783f54Red Jade
ab4d50Red Leather,834c4bRed Maple Leaf,c92b1eRed Mist,953334Red Ochre,473442Red Onion,ff3f34Red Orange,ff5349Red Orange Juice,82383cRed Pear,7a3f38Red Pepper,fa2a55Red Pink
7c2949Red Plum,995d50Red Potato,8e3928Red Prairie,e40078Red Purple,ee3344Red Radish,a65052Red Rock,5f383cRed Vine,9e0168Red Violet,885a55Red Willow,c44240Reddish
ffbb88Reddish Banana,7f2b0aReddish Brown,997570Reddish Grey,f8481cReddish Orange,dac2b3Regal,6a76afRegal Azure,99484aRegal Red,9d7374Regal Rose,a298a2Regal Violet,7f222eRhubarb
bca872Rhubarb Leaf Green,38afcdRiver Blue,248591River Fountain,5a4d41Rock,93a2baRock Blue,688082Rock Creek,465448Rock Garden,6b3226Root Brown,ff007fRose,bc8e8fRose Brown
e5a192Rose Dusk,cdb2a5Rose Dust,674846Rose Ebony,e7bcb4Rose Fog,ffece9Rose Frost,da9ec8Rose Garden,960145Rose Garnet,b76e79Rose Gold,ceb9c4Rose Marble,af9690Rose Mauve
c4989eRose Meadow,e6c1bbRose Petal,ff66ccRose Pink,c92351Rose Red,e7afa8Rose Silk,ceada3Rose Smoke,fae8e1Rose Tan,905d5dRose Taupe,b48993Rose Tea,c44d97Rose Violet,9d5c75Rose Wine
be89a8Rosy,fedecdRosy Cloud,cf8974Rosy Copper,f2c2e1Rosy Nectar,f6688eRosy Pink,d95854Rosy Sunset,c8aba7Rosy Tan,cb0162Rowan,ca0147Ruby,975b60Ruby Crystal,e0115fRuby Dust
73525cRuby Grey,9b111eRuby Red,a2566fRuby Shade,5c384eRuby Violet,80461bRusset,823d38Russet Brown,965849Russet Leather,e47127Russet Orange,9f6859Russet Red,a83c09Rust
966684Rust Magenta,aa2704Rust Red,3a181aRustic Red,96512aRusty,af2f0dRusty Red,edb384Rusty Sand,d1ae7bRye,cdbea1Rye Bread,807465Rye Brown,f4c430Saffron,9c8aabSaffron Blossom Mauve
e8e9cfSaffron Bread,584c77Saffron Crocus,f08f00Saffron Gold,f9bf58Saffron Mango,da9e35Saffron Sunset,d09b2cSaffron Yellow,87ae73Sage,7fab70Sage Garden,69796aSage Green Grey
9ea49dSage Grey,7b8b5dSage Leaves,5e6a61Sage Shadow,413c7bSage Violet,ff796cSalmon,fea871Salmon Buff,e3b6aaSalmon Grey,ff8c69Salmon Orange,fdc5b5Salmon Peach,ff91a4Salmon Pink
ff737eSalmon Rose,e7968bSalmon Salt,d9aa8fSalmon Sand,efccbfSalmon Tint,efede6Salt,7d9c9dSalt Blue,d3934dSalt Caramel,757261Salt Island Green,74c6d3Salt Lake,e2ca76Sand
b09d7fSand Pebble,c9ae74Sandstone,886e70Sandstone Red Grey,fad7b3Sandy Bay,f4a460Sandy Brown,967111Sandy Taupe,0f52baSapphire,99a8c9Sapphire Fog,235c8eSapphire Lace
773344Satin Chocolate,1c1e21Satin Deep Black,b48fbdSatin Flower,c7dfb8Satin Green,33ee00Satin Lime,9cadc7Satin Soft Blue,ff2400Scarlet,922e4aScarlet Apple,b63e36Scarlet Red
aa2335Scarlet Sage,3c9992Sea,e8dad6Sea Anemone,006994Sea Blue,a4bfceSea Breeze,519d76Sea Cabbage,a5c7dfSea Cliff,608ba6Sea Crystal,656d54Sea Fern,87e0cfSea Foam,cbdce2Sea Foam Mist
d5dcdcSea Frost,568e88Sea Garden,afc1bfSea Glass,a0e5d9Sea Glass Teal,3300aaSea Grape,53fca1Sea Green,cbd9d4Sea Haze Grey,a7a291Sea Hazel,d7f2edSea Ice,354a55Sea Kelp
cfb1d8Sea Lavender,67a181Sea Lettuce,dbeee0Sea Mist,2c5252Sea Moss,f47633Sea Nettle,72897eSea Palm,457973Sea Pea,4c6969Sea Pine,db817eSea Pink,799781Sea Radish,45a3cbSea Ridge
accad5Sea Wind,78d1b6Seafoam Blue,99bb88Seafoam Green,e6dac4Seed Pearl,704214Sepia,2b0202Sepia Black,d4bbb6Sepia Rose,8c7562Sepia Tint,8c7340Sepia Yellow,e96a97Shadow Azalea Pink
7a6f66Shadow Cliff,9ac0b6Shadow Green,395648Shadow Leaf,ccde95Shadow Lime,356454Shadow Pine,4e334eShadow Purple,9c917fShadow Taupe,dbd6cbShady,42808aShady Blue,007865Shady Glade
849292Shady Grey,73694bShady Oak,c4a1afShady Pink,4a3f41Shale,6b886bShale Green,a9561eSienna,cda589Sienna Buff,de9f83Sienna Ochre,b1635eSienna Red,f1d28cSienna Yellow,bbada1Silk
9188b5Silk Lilac,8b4248Silk Satin,cc9999Silk Stone,c0c0c0Silver,a8a8a4Silver Grey,6d747bSilver Hill,9db7a5Silver Leaf,71776eSilver Maple Green,dbccd3Silver Mauve,526e6bSilver Pine
c9a0dfSilver Rust,8e8572Silver Sage,8599a8Silver Storm,f2c1c0Silver Strawberry,67be90Silver Tree,637c5bSilver Willow Green,76d6ffSky,9fb9e2Sky Blue,dcbfe1Sky Blue Pink
b6c3c1Sky Grey,cf71afSky Magenta,516572Slate,658d6dSlate Green,b3586cSlate Pink,868988Slate Rock,ba6671Slate Rose,acb4acSlate Stone,606e74Slate Tile,7a818dSlate Tint,bfc8c3Smoke
446b61Smoke Pine,bb5f34Smoke Tree,fffafaSnow,f7f5edSnow Day,6ccc7bSnow Pea,f4eaf0Snow Plum,eeffccSnowdrop,cfb7c9Soft Amethyst,e0b392Soft Apricot,b9b5afSoft Beige,6488eaSoft Blue
a18666Soft Bronze,838298Soft Charcoal,d0e3edSoft Cloud,987b71Soft Cocoa,b59778Soft Fawn,c7d368Soft Fern,817714Soft Fig,d496bdSoft Fuchsia,c1dfc4Soft Grass,6fc276Soft Green
bea8b7Soft Heather,d9a077Soft Leather,e2d4dfSoft Lilac,e6f9f1Soft Mint,cce1c7Soft Moss,59604fSoft Olive,eec0abSoft Orange,fff3f0Soft Peach Mist,fdb0c0Soft Pink,dc8e31Soft Pumpkin
a66fb5Soft Purple,412533Soft Red,eaaaa2Soft Salmon,eec5ceSoft Satin,d09f93Soft Sienna,b5b5cbSoft Sky,f5d180Soft Straw,74ced2Soft Turquoise,6c4f3fSpice,46a35aSpinach
909b4cSpinach Green,00f900Spring,e8ebd9Spring Breeze,a7fc00Spring Bud,b7629bSpring Crocus,67926fSpring Forest,558961Spring Garden,d5cb7fSpring Grass,00ff7cSpring Green
c4cbb2Spring Hill,4a754aSpring Juniper,a8c3aaSpring Leaves,c0b05dSpring Marsh,596c3cSpring Onion,dfbcc9Spring Pink,86ba4aSpring Sprout,f1f1c6Spring Sun,7ab5aeSpring Water Turquoise
e0eed4Spring Wheat,ecfcecSpring White,cda4deSpring Wisteria,f2e47dSpring Yellow,b8ca9dSprout,0a5f38Spruce,838a7aSpruce Shadow,9fc09cSpruce Stone,b35e97Spruce Tree Flower
b77d42Spruce Yellow,ddddddSteam,ebe1a9Steam Chestnut,797979Steel,436175Steel Blue Grey,5599b6Steel Light Blue,cc33ccSteel Pink,5f8a8bSteel Teal,ada587Stone,b79983Stone Brown
8f9183Stone Creek,5f7d6cStone Cypress Green,f2a28cStone Fruit,9f9484Stone Grey,665c46Stone Pine,8ba8aeStone Silver,000b44Storm,507b9cStorm Blue,113333Storm Green,e4d96fStraw
fcf679Straw Gold,dbc8a2Straw Harvest,fb2943Strawberry,ffdbf7Strawberry Frost,e78b90Strawberry Ice,cf5570Strawberry Moon,f46c80Strawberry Pink,b96364Strawberry Rhubarb
fa4224Strawberry Spinach Red,cb6a6bStrawberry Wine,495e7bStream,935529Sugar Almond,834253Sugar Beet,f56c73Sugar Coral,c96fa8Sugar Creek,f8f4ffSugar Crystal,9437ffSugar Grape
914e75Sugar Plum,e58281Sugar Poppy,ecc4dcSugar Sweet,a2999aSugar Tree,1880a1Summer Blue,f8822aSummer Citrus,bbffeeSummer Cloud,eaaa62Summer Day,e2c278Summer Field,c45940Summer Fig
228b22Summer Forest Green,7aac80Summer Garden,8fb69cSummer Green,0077a7Summer Lake,f8d374Summer Lily,ead5aeSummer Melon,36576aSummer Night,66a9b1Summer Sea,38b0deSummer Sky
94d3d1Summer Soft Blue,b0c5dfSummer Storm,ffdc00Summer Sun,d88167Summer Sunset,008572Summer Turquoise,215399Summer Waters,ef8e38Sun,e3efe1Sun Bleached Mint,e3ab7bSun Bleached Ochre
f6e0a4Sun Dust,f37724Sun Orange,ffc512Sunflower,f2f27aSunny,c5cd40Sunny Green,e1ee82Sunny Lime,f6d365Sunny Morning,ffc900Sunny Summer,f4bf77Sunrise,c0514aSunset,be916dSunset Cloud
f6c362Sunset Gold,fd5e53Sunset Orange,f8a77fSunset Peach,724770Sunset Purple,7f5158Sunset Red,fa873dSunset Yellow,7f755fSwamp,748500Swamp Green,698339Swamp Moss,857947Swamp Mud
fcc0a6Sweet Apricot,a7e8d3Sweet Aqua,aebed2Sweet Blue,e6bfc1Sweet Blush,a83731Sweet Brown,9f4f4dSweet Cherry,84172cSweet Cherry Red,f9e176Sweet Corn,e8a773Sweet Curry
ab9368Sweet Earth,5fd1baSweet Garden,4d3d52Sweet Grape,8e8db9Sweet Lavender,fff45aSweet Lemon Seed,d35e3aSweet Mandarin,ddaf6cSweet Maple,e87973Sweet Melon,b4ccbeSweet Mint
d1b871Sweet Mustard,edc8b1Sweet Pastel,9ba15cSweet Pea,cbbad0Sweet Petal,ee918dSweet Pink,d87c3bSweet Potato,d1e8c2Sweet Spring,c18244Sweet Tea,8c667aSweet Violet
fc5669Sweet Watermelon,d1b26fTan,ab7e4cTan Brown,a9be70Tan Green,c2aa87Tan Oak,ff9300Tangerine,ffa089Tangerine Cream,de8417Tangerine Haze,b9a281Taupe,8b8589Taupe Grey
d19776Tawny Amber,aa7b65Tawny Birch,ab856fTawny Brown,c4962cTawny Olive,d37f6fTawny Orange,ccb299Tawny Tan,bfb5a2Tea,8f8667Tea Leaf,a59564Tea Leaf Brown,f8e4c2Tea Light
f883c2Tea Rose,008080Teal,01889fTeal Blue,0f4d5cTeal Dark Blue,006d57Teal Dark Green,405b5dTeal Forest,3e9eacTeal Glacier,25a36fTeal Green,d1efe9Teal Ice,94b9b4Teal Tree
f7e8d7Tender,b7cfe2Tender Twilight,e8ebafTender Yellow,cb6843Terracotta,d8bfd8Thistle,834d7cThistle Mauve,50574cThyme,737b6cThyme Green,0094a5Tile Blue,7a958eTile Green,919191Tin
a3898aTin Pink,755139Toffee,ef4026Tomato,bf753bTomato Cream,e84a2eTomato Curry,ec2d01Tomato Red,aa251bTomato Sunrise,cf7e40Topaz,92653fTopaz Mountain,eb975eTopaz Yellow
715e58Tree Bark,665b4eTree Bark Brown,304b4aTree Bark Green,2a7e19Tree Green,dcdbcaTree Moss,a4345dTree Peony,e2813bTree Poppy,476a30Tree Shade,ff878dTulip
531938Tulip Poplar Purple,b8516aTulip Red,e3ac3dTulip Tree,ae9041Turmeric,c18116Turmeric Brown,ca7a40Turmeric Red,feae0dTurmeric Root,06c2acTurquoise,00ffefTurquoise Blue
6fe7dbTurquoise Chalk,04f489Turquoise Green,b4cecfTurquoise Grey,89f5e3Turquoise Pearl,6cdae7Turquoise Sea,13bbafTurquoise Topaz,4e518bTwilight,c8bfb5Twilight Beige
0a437aTwilight Blue,8a496bTwilight Lavender,977d7fTwilight Mauve,51a5a4Twilight Meadow,65648bTwilight Purple,a79994Twilight Taupe,1805dbUltramarine,657abbUltramarine Blue
090045Ultramarine Shadow,1d2a58Ultramarine Violet,b26400Umber,613936Umber Brown,ffdd9dValley Flower,f3e5abVanilla,750851Velvet,656d63Velvet Clover,33505eVelvet Evening
e58d3fVelvet Marigold,692b57Velvet Mauve,573a56Velvet Plum,7e374cVelvet Rose,6b605aVelvet Umber,9a435dVelvet Wine,f1dfdfVerbena,847e35Verdant,28615dVerdant Forest,f4320cVermilion
f9603bVermilion Orange,b5493aVermilion Red,d1062bVermilion Scarlet,338544Vine,4d5f4fVine Leaf,9a0eeaViolet,510ac9Violet Blue,531745Violet Carmine,8f7da5Violet Chalk
a89b9cViolet Dawn,991199Violet Eggplant,675b72Violet Haze,c0a9adViolet Ice,482d67Violet Indigo,9400d3Violet Ink,daccdeViolet Mist,fb5ffcViolet Pink,3a2f52Violet Purple
8b4963Violet Quartz,a50055Violet Red,4d4860Violet Shadow,5c619dViolet Storm,9e91c3Violet Tulip,b19cd9Violet Velvet,898ca3Violet Verbena,d2d6e6Violet Water,1e9167Viridian
bcd7d4Viridian Green,773f1aWalnut,ffb865Warm Apricot,004242Warm Black,4b57dbWarm Blue,964e02Warm Brown,927558Warm Earth,978a84Warm Grey,736967Warm Haze,c89f59Warm Leather
fff9d8Warm Light,6d4741Warm Mahogany,d8cfbaWarm Oats,c7b63cWarm Olive,fb5581Warm Pink,952e8fWarm Purple,987744Warm Spice,a79a8aWarm Stone,faf6dbWarm Sun,ab917dWarm Taupe
d4f1f9Water,0e87ccWater Blue,75b790Water Fern,81b89aWater Green,a0a3d2Water Hyacinth,b56c60Water Persimmon,b0ab80Water Reed,fd4659Watermelon,f05c85Watermelon Juice
c77690Watermelon Pink,a5ced5Wave,babbb3Weathered Moss,7b9093Weathered Pebble,b2beb5Wet Ash,a49690Wet Clay,d1584cWet Coral,a36c64Wet Desert Clay,b9a023Wet Leaf,897870Wet River Rock
ae8f60Wet Sand,786d5fWet Sandstone,907e6cWet Taupe,fbdd7eWheat,dfbb7eWheat Bread,c7c088Wheat Grass,ffffffWhite,eceabeWhite Asparagus,cdd6dbWhite Blue,e3e0e8White Bud
f2f2edWhite Cloud,e6e0d4White Coffee,f9ebc5White Currant,dee6ecWhite Frost,d6e9caWhite Green,d0d6a8White Jade,ce9f6fWhite Oak,f5f5f5White Smoke,83ccd2White Ultramarine
a53783Wild Aster,47241aWild Brown,6e3c42Wild Cranberry,7c3239Wild Currant,38914aWild Forest,998643Wild Grass,eecc00Wild Honey,2f2f4aWild Iris,a47fa3Wild Lavender,c4cd4fWild Lime
ffe2c7Wild Maple,a96388Wild Mulberry,84704bWild Mushroom,9c8042Wild Olive,6373b4Wild Pansy,83455dWild Plum,b85b57Wild Poppy,ebdd99Wild Primrose,447382Wild River,cb7d96Wild Rose
b5a38cWild Rye,7e877dWild Sage,e7e4deWild Sand,ff3399Wild Strawberry,9e9fb6Wild Thistle,7e9c6fWild Thyme,63209bWild Violet,fc6d84Wild Watermelon,beca60Wild Willow
686b93Wild Wisteria,8c7a48Willow,817b69Willow Grey,9e8f66Willow Tree,b1c9dfWind Blue,e8babdWind Rose,80013fWine,5f3e3eWine Brown,941751Wine Grape,355e4bWine Leaf,7b0323Wine Red
d7c485Wine Yellow,b0a6c2Winter Amethyst,baaaa7Winter Cocoa,48907bWinter Green,d0c383Winter Hazel,5c97cfWinter Lake,b7fffaWinter Meadow,676449Winter Moss,b0b487Winter Pear
c7a55fWinter Pear Beige,aaa99dWinter Rye,303e55Winter Sea,4f6b79Winter Shadow,4b7079Winter Storm,ca6636Winter Sunset,21424dWinter Waves,c1d8acWinter Willow Green,a87dc2Wisteria
84a2d4Wisteria Blue,e6c8ffWisteria Powder,302621Wood Bark,464646Wood Charcoal,7a7229Wood Garlic,a08475Wood Lake,78426fWood Violet,626746Woodland,5f4737Woodland Brown
004400Woodland Grass,475c5dWoodland Night,5e5587Wool Violet,ffff00Yellow,b68d4cYellow Acorn,ae8b0cYellow Brown,f5f9adYellow Chalk,ffde88Yellow Corn,eed36cYellow Cream
be8400Yellow Gold,c8fd3dYellow Green,c5e384Yellow Green Shade,ede68aYellow Iris,eee8aaYellow Jasmine,d28034Yellow Mandarin,f0d31eYellow Mellow,73633eYellow Metal,cb9d06Yellow Ochre
e9df8aYellow Pear,eeef06Yellow Pepper,f0e74bYellow Petal,fff000Yellow Rose,fdee73Yellow Sand,f9b500Yellow Summer,9b7a01Yellowish Brown,b0dd16Yellowish Green,abbc01Yew,92898aZinc
655b55Zinc Grey,ffa111Zinnia,ffd781Zinnia Gold
`;
