package intent

// EnglishLists are the lists for English.
func EnglishLists() Lists {
	return Lists{
		Question: []string{"how", "what", "whats", "why", "when", "where", "who", "which", "should", "is", "are", "was", "do", "does", "did",
			"can", "could", "will", "would", "has", "have"},
		Research: []string{"how", "what", "why", "when", "should", "cost", "price", "pricing", "rate", "fee", "charge", "calculator", "ideas",
			"photos", "pictures", "images", "examples", "diy", "vs", "versus", "yourself", "tips", "guide", "meaning", "definition", "history",
			"types of", "kinds of", "signs", "symptoms", "causes", "benefits", "explained", "steps", "instructions", "manual", "tutorial",
			"average", "pros and cons", "difference between", "before and after", "checklist", "requirements", "regulations", "code requirements",
			"statistics", "video", "life cycle", "lifespan", "life expectancy", "worth it", "safe for", "get rid of", "reddit", "forum"},
		Trouble: []string{"not", "wont", "doesnt", "isnt", "cant", "keeps", "keep", "stopped", "stuck", "jammed", "error", "error code", "code", "fault",
			"fault code", "problem", "issue", "troubleshooting", "troubleshoot", "reset", "noise", "noisy", "smell", "diagram", "chart",
			"schematic", "leaking", "dripping", "smoking", "smelling", "gurgling", "beeping", "blinking", "flashing light", "clicking",
			"ticking", "rattling", "squeaking", "squealing", "vibrating", "shaking", "overheating", "tripping", "freezing", "humming",
			"buzzing", "whistling", "banging", "knocking", "kettling", "cracking", "crumbling", "sagging", "sticking", "jamming",
			"overflowing", "backing up", "losing", "making", "running constantly", "turning off", "shutting off", "bubbling", "hissing",
			"rusting", "rotting", "peeling", "dying", "broken down"},
		Hire: []string{"emergency", "urgent", "24 hour", "24hr", "24 7", "same day", "next day", "best", "top", "affordable", "quote", "quotation", "estimate",
			"local", "cheap", "cheaper", "cheapest", "inexpensive", "licensed", "certified", "insured", "qualified", "professional", "top rated", "trusted", "reliable", "low cost",
			"hire a", "hire an", "book", "appointment", "free estimate", "recommended", "experienced", "reputable", "good"},
		Doers: []string{"company", "contractor", "service", "servicing", "maintenance", "specialist", "expert", "firm", "engineer", "technician", "tech",
			"mechanic", "man", "guy", "people", "crew", "team", "tradesman", "pros", "professionals", "provider"},
		Near: []string{"near me", "nearby", "close to me", "close by", "around me", "around here", "in my area", "near by", "near here", "closest",
			"nearest", "nearest me", "closest to me", "nearby me", "near my location", "local to me"},
		Acts:    englishActs(),
		Goods:   englishGoods(),
		Endings: []string{"inc", "llc", "ltd", "limited", "co", "corp", "plc", "lp", "and sons", "and son", "bros", "brothers", "centre", "center", "and co"},
		Generic: []string{"work", "works", "care", "system", "unit", "equipment", "home", "house", "residential", "commercial", "industrial", "domestic", "private",
			"office", "shop", "building", "property", "landlord", "business", "apartment", "condo", "restaurant", "indoor", "outdoor", "exterior", "interior",
			"large", "small", "big", "mini", "old", "new", "modern", "antique", "vintage", "custom", "wooden", "wood", "metal", "steel", "brick", "stone", "glass",
			"plastic", "vinyl", "aluminum", "aluminium", "copper", "cedar", "concrete", "electric", "electrical", "gas", "oil", "water", "full", "complete",
			"annual", "yearly", "monthly", "weekly", "regular", "routine", "seasonal", "winter", "summer", "spring", "fall", "autumn", "free", "online", "open now",
			"open", "today", "now", "sunday", "saturday", "weekend", "broken", "damaged", "family owned", "organic", "eco friendly", "green", "pet safe"},
		Ordinary: []string{"old", "new", "first", "best", "street", "road", "avenue", "national", "american", "family", "brothers", "bros", "sons", "son",
			"house", "home", "inc", "llc", "ltd", "co", "corp", "group", "team", "pros", "pro", "north", "south", "east", "west", "central", "county",
			"city", "town", "village", "all", "one", "green", "blue", "red", "black", "white", "silver", "golden", "quality", "premier", "elite", "superior",
			"express", "fast", "quick", "solutions", "center", "centre", "supply", "store", "shop"},
	}
}

// englishActs are the acts of English.
func englishActs() []string {
	return []string{
		"installation, install, installing, installed, installer, fitting, fit, fitter, fitted, setup, set up, hookup, hook up, mounting, replacement, replace, replacing, replaced, renewal, changeout, swap",
		"repair, repairing, repairer, repaired, repairman, fix, fixing, fixer, fixed, mend, mending",
		"cleaning, clean, cleaner, cleaned, cleanup, clean up, cleanout, clean out, sweep, sweeping, sweeper, swept",
		"washing, wash, washed", "flush, flushing, flushed", "sanitizing, sanitize, disinfecting, disinfection, fumigation",
		"inspection, inspect, inspector, inspecting, inspected, survey, surveyor, surveying, check, checkup, assessment, evaluation, diagnosis, diagnostic",
		"testing, test, tester, tested", "certification, certify, certifying",
		"removal, remove, removing, remover, removed, disposal, dispose, hauling, haul away, tear out, takedown", "demolition, demolish, demolishing",
		"control, controlling, extermination, exterminate, exterminating, exterminator",
		"treatment, treating, treat, treated", "spraying, spray, sprayed",
		"design, designer, designing", "building, builder, construction, constructing", "rebuilding, rebuild, reconstruction",
		"painting, paint, painter, repainting", "staining, stain", "coating, recoating, sealing, sealcoating, sealer, waterproofing, proofing",
		"rental, rent, renting, lease, leasing, hire", "delivery, deliver, delivered, shipping", "moving, move, mover, relocation", "towing, tow",
		"restoration, restore, restoring, restorer, refurbishment, refurbishing", "renovation, renovate, renovating, remodeling, remodelling, remodel, remodeler",
		"refinishing, refinish, refinisher, resurfacing, reglazing", "sanding, sand", "polishing, polish, buffing", "waxing, wax",
		"conversion, convert, converting", "extension, extending", "insulation, insulating, insulate", "rewiring, rewire, wiring", "relining, reline, lining",
		"leveling, levelling", "lifting, raising, jacking", "repointing, pointing, tuckpointing", "unblocking, unblock, unclogging, unclog, clearing, clearance, clear",
		"pumping, pump out, pumper, pumped, emptying, empty", "drilling, drill, driller", "digging, dig, excavation, excavating, excavator, trenching",
		"cutting, cut, cutter, felling", "trimming, trim, trimmer, pruning, prune", "mowing, mow, mower", "planting", "grinding, grind, grinder",
		"sharpening, sharpen, sharpener", "grooming, groom, groomer", "walking, walker", "sitting, sitter", "boarding", "breeding, breeder",
		"keeping, keeper, beekeeping", "tuning, tune, tuner", "detailing, detailer", "tinting, tint", "wrapping, wrap", "welding, weld, welder",
		"printing, printer", "engraving, engraver", "embroidery", "sewing", "alteration, altering, tailoring", "upholstery, reupholstery, upholstering, upholsterer, upholster, reupholster, reupholstering, recovering",
		"hanging, hanger", "assembly, assembling, assemble, assembler", "decorating, decorator, decoration", "organizing, organization, organizer, organiser",
		"staging, stager", "recycling, recycle", "storage", "programming, reprogramming", "rekeying, rekey", "duplication, copying", "upgrade, upgrading",
		"monitoring", "calibration, calibrating", "appraisal, appraiser, valuation", "winterizing, winterization", "thawing, thaw", "hydroseeding",
	}
}

// englishGoods are words of goods, of work and permits, and of what is something
// else altogether.
func englishGoods() []string {
	return []string{"job", "salary", "wage", "career", "apprenticeship", "apprentice", "vacancy", "hiring", "training", "school", "course", "class", "lesson",
		"degree", "license", "licence", "permit", "insurance", "grant", "scheme", "finance", "financing", "loan", "tax credit", "rebate", "warranty", "uniform",
		"software", "app", "template", "for sale", "on sale", "used", "second hand", "secondhand", "refurbished", "reconditioned", "wholesale", "bulk", "buy", "ebay",
		"kit", "part", "spares", "spare", "accessory", "supply", "supplier", "dealer", "material", "hardware", "product", "store", "brush", "tool", "machine hire",
		"rental", "for rent", "rent", "song", "lyrics", "movie", "film", "game", "costume", "toy", "statue", "logs", "hose", "cover", "gasket", "size", "dimension",
		"weather", "recipe", "remote", "remote control", "chemical", "lubricant", "adhesive", "nail", "screw", "bracket", "hinge", "roller", "valve", "filter",
		"trap", "repellent", "bait", "net", "collar", "box", "rack", "ladder", "tarp", "blind", "curtain", "paint", "suit", "bottle", "clip art", "logo", "name",
		"font", "emoji", "tattoo", "wallpaper", "drawing", "clipart", "floor plan", "blueprint"}
}
