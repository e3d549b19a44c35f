package survey

import "inktally/core/fault"

// SiteTooLarge is that of a site of whose pages so many megabytes were read: the rest of them is not read.
var SiteTooLarge = fault.Define1("site_too_large", "megabytes")
