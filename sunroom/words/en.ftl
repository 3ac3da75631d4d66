### What Sun Room says in English: short, plain, spoken by a colleague.
### A sentence is never glued together from parts; what changes in it is a value.

## Everywhere

more = More
close = Close
done = Done
cancel = Cancel
try-again = Try again
today-at = today { $time }

## Tools

tools = Tools
all-tools = All tools
find-tool = Find a tool
no-such-tool = No tool is called that.
choose-rack = Choose what is on the rack
ready-racks = Ready racks
rack-everything = Everything
rack-maths = Maths
rack-language = Language
rack-science = Science
tool-select = Select
tool-pen = Pen
tool-highlight = Highlight
tool-eraser = Eraser
tool-ruler = Geometry
tool-shape = Shape
tool-text = Text
tool-note = Note
tool-table = Table
tool-stamp = Stamp
tool-bring = Bring in
tool-bay = Bay
tool-pointer = Pointer
tool-move = Move

## Pens

who-may-write = Who may write
pens-down = Pens down
pens-down-hint = Only the tutor side writes
pens-passed = Passed
pens-passed-count = Passed · { $count }
pens-passed-hint = Those who hold a pen write; pass one beside a name
pens-up = Pens up
pens-up-hint = All students write
lesson-paused = The lesson is paused
go-on = Go on
what-pens-may = What pens may do
pens-may = May: { $what }
pens-may-short = May …
pen-kit = Pen kit
kit-for-room = Also in later lessons of this room
kit-full = full pen
kit-full-hint = everything but touching what others made
kit-full-short = write, type, draw
kit-ink = ink only
kit-ink-hint = ink, highlighter, eraser on own work
kit-notes = notes only
kit-notes-hint = notes with their name on them
kit-cards = cards only
kit-cards-hint = move things, nothing else
kit-cards-short = move things
kit-pointer = pointer only
kit-pointer-hint = point, nothing else
right-write = Write with ink
right-note = Stick notes
right-text = Type text and tables
right-shape = Draw figures, set stamps
right-bring-in = Bring pictures in
right-convert = Typeset and true up
right-change-others = Change others’ things
right-erase-others = Erase others’ things
right-add-page = Add and arrange pages
right-point = Point
right-chat-all = Say something to everyone
right-chat-tutor = Say something to the tutor
right-nothing = nothing
right-write-short = write
right-note-short = notes
right-text-short = text
right-shape-short = figures
right-bring-in-short = pictures
right-point-short = point

## What one's own pen may do

state-out = You are out of the room
state-down-may = Pens are down · you may: { $what }
state-no-pen-may = No pen · you may: { $what }
state-onlooker = You are looking on
state-paused = The lesson is paused
state-between = No lesson is on
state-between-all = No lesson is on · you can write
state-between-may = No lesson is on · you may: { $what }
state-down = Pens are down · { $writer } is writing
state-no-pen = You have no pen just now
state-bay-all = You can write in your bay
state-bay = In your bay you may: { $what }
state-page-all = You can write on this page
state-page = On this page you may: { $what }
state-up-all = Pens are up · you can write
state-up = Pens are up · you may: { $what }
state-pen-all = You have a pen
state-pen = You have a pen · { $what }

## Header

boards = Boards
more-boards = More boards
this-board = This board
new-board = New board
board-title = Title of the board
rename = Rename
rename-board = Rename this board
move-earlier = Move earlier
move-later = Move later
copy-board = Copy this board
delete-board = Put this board away
open-lesson = Open the lesson
go-on-with-lesson = Go on with the lesson
take-room-back = Take the room back
take-away = Take away
take-pdf = PDF
take-pdf-hint = to print and to keep
take-of = Take
take-board = The whole board
take-page = This page
take-html = Web page
take-html-hint = one file, opens in any browser without network
take-png = Picture (PNG)
take-png-hint = for documents and messages
take-svg = Vector picture (SVG)
take-svg-hint = sharp at any size, its text is text
take-inkml = Ink (InkML)
take-inkml-hint = strokes with pressure and time
take-csv = Take it along (CSV)
take-hidden = Hidden pages are left out.
leave-out = Leave out
part-paper = Colour of the paper
part-notes = Notes
part-names = Names on notes
take-package = Board file
take-package-hint = everything, to be opened again here
kept = Kept
kept-at = Kept { $time }
keeping = Keeping
not-kept = Not kept yet
kept-out = Out
no-line = No line, coming back
no-line-waiting = No line · { $count } waiting
clock = { $minutes } min
clock-of = { $minutes } of { $planned } min
clock-over = { $minutes } min over time
clock-ends = ends in { $minutes } min
clock-paused = paused at { $minutes } min
clock-hint = { $time } since the first student came in
task = Task
task-left = { $what }: { $time }
task-over = { $what }: time is up
wrap-up = Wrap up
wrap-up-facts =
    { $minutes ->
        [one] One minute
       *[other] { $minutes } minutes
    }, { $students ->
        [0] no student here now
        [one] one student here now
       *[other] { $students } students here now
    }, { $pages ->
        [one] one page.
       *[other] { $pages } pages.
    }
wrap-up-kept = Everything is kept.
wrap-up-not-kept = The newest strokes are not kept yet.
end-lesson = End the lesson
teach-on = Not yet
after-view = Afterwards students can look at the board. You can go on with the lesson for half an hour.
after-write = Afterwards students can write on the board. You can go on with the lesson for half an hour.
after-closed = Afterwards the room is closed to students. You can go on with the lesson for half an hour.

## Own menu

your-menu = Your menu
your-name = Your name
your-new-name = Your new name
change = Change
read-as-i-write = Read as I write
as-you-go-off = No
as-you-go-offer = Offer
as-you-go-always = Always take
your-hand = Your hand
your-hand-hint = Write a short practice page, and your ink is read better.
practice-page = Practice page
pen-elsewhere = Pen on another device
pen-elsewhere-hint = A tablet sits in your own seat: write there, call here. Undo is shared.
pair-qr = QR code of the address
pair-how = Scan this with the tablet, or open { $address } there and type this code. It is good for ten minutes.
another-code = Another code
pair-device = Pair a device
end-pairings = End all pairings
pairings-ended = No other device is paired with your seat now.
interface = This window
language = Language
light = Light
theme-day = Day
theme-evening = Evening
theme-system = As the device
letter-keys = Single letters take tools
keys = Keys
board-only = Board only
sounds = Sounds
sign-out = Sign out
to-room-home = The room’s home
people-count = People · { $count }

## Panels, the room’s home, accounts, the door

link = Link
copy = Copy
copied = Copied
one-moment = One moment
this-part-of-sun-room = This part of Sun Room could not be loaded. Is there a line to the server?
recent = Recent
number = Number
none = None
six-digits-from-0-to = Six digits from 0 to f, such as 1f5fa8.
hard-to-see-on-this = Hard to see on this paper.
that-is-more-text-than = That is more text than fits into one piece: take less.
words-of-the-cell = Words of the cell
words-in-the-figure = Words in the figure
words-of-the-note = Words of the note
text-on-the-board = Text on the board
stamps = Stamps
throw-this-one-away = Throw this one away
own-ones-select-things-arrange = Own ones: select things, Arrange, Make a stamp.
figure = Figure
figures = Figures
line = Line
line-width = Line { $width }
width = Width
dashes = Dashes
ends = Ends
corners = Corners
fill = Fill
drag-on-the-board-shift = Drag on the board. Shift keeps sides equal.
two-arrows = Two arrows
arrow = Arrow
family-plain = Plain
dotted = Dotted
dashed = Dashed
solid = Solid
add-a-row = Add a row
add-a-column = Add a column
first-row-as-a-head = First row as a head
first-row-as-the-others = First row as the others
double-press-a-cell-to = Double press a cell to write in it. Tab goes on. Borders can be dragged.
line-up = Line up
spread-evenly = Spread evenly
side-by-side = Side by side
one-below-the-other = One below the other
group = Group
ungroup = Ungroup
order = Order
turn-and-flip = Turn and flip
turn-left-90 = Turn left 90°
turn-right-90 = Turn right 90°
flip-left-to-right = Flip left to right
flip-upside-down = Flip upside down
keep-for-later = Keep for later
make-a-stamp = Make a stamp
lock = Lock
unlock = Unlock
lock-in-place = Lock in place
pin-as-background = Pin as background
there-is-no-room-for = There is no room for another stamp. Throw one away first.
own-stamp = Own stamp { $count }
to-the-back = To the back
one-back = One back
one-forward = One forward
to-the-front = To the front
lower-edges = Lower edges
middles-one-below-the-other = Middles, one below the other
upper-edges = Upper edges
right-edges = Right edges
middles-side-by-side = Middles, side by side
left-edges = Left edges
the-bay-before = The bay before
the-next-bay = The next bay
title = Title
title-of-the-bay = Title of the bay
who-writes-in-this-bay = Who writes in this bay
who-writes = Who writes
no-student-is-here-yet = No student is here yet.
saved = Saved
remove = Remove
drag-out-a-bay-an = Drag out a bay: an area with a title, and its own rule for who writes in it.
not-saved = Not saved
also-on-its-own = Also on its own
with-the-page = With the page
some-people = Some people
rule-open = Open
tutor-side = Tutor side
as-the-page = As the page
everything-on-the-page = Everything on the page
all-of-mine = All of mine
all-of = All of { $name }’s
show-only = Show only { $name }’s
show-everybodys-again = Show everybody’s again
there-is-nothing-on-this = There is nothing on this page yet.
all-pictures = All pictures
all-tables = All tables
all-notes = All notes
all-figures = All figures
all-typed-text = All typed text
all-ink = All ink
looking-it-up = Looking it up.
nothing-is-known-of-it = Nothing is known of it.
text-settings = Text settings
family = Family
smaller = Smaller
text-size = Text size
larger = Larger
bold = Bold
italic = Italic
underline = Underline
strike-through = Strike through
subscript = Subscript
superscript = Superscript
lines-and-links = Lines and links
lines = Lines
align = Align
list = List
a-link-begins-with-http = A link begins with http://, https:// or mailto: and has no spaces.
press-on-the-board-and = Press on the board and type.
numbers = Numbers
bullets = Bullets
no-list = No list
align-right = Right
centre = Centre
align-left = Left
family-even = Even
family-hand = Hand
family-book = Book
what-was-written-last = What was written last
true-up-as = True up: { $figure }
add-as-a-branch = Add as a branch
typeset-as = Typeset “{ $text }”
leave-it-as-it-is = Leave it as it is
leave-it = Leave it
opacity = Opacity
size = Size
wide = wide
high = high
colour = Colour
how-sure-the-reading-is = How sure the reading is
typeset-these-words = Typeset these words
put-on-the-board = Put on the board
throw-away = Throw away
bringing-the-picture-in = Bringing the picture in.
give-up = Give up
choose-a-picture = Choose a file
or-drop-one-on-the = Picture, PDF, text, table or ink; or drop one on the board, or paste
picture-file = File to bring in
clear = Clear
yes-clear-it = Yes, clear it
unpin-the-background = Unpin the background ({ $count })
who-writes-here = Who writes here
open-to-students = Open to students
tutor-side-only = Tutor side only
as-the-lesson = As the lesson
everybody-has-a-desk = Everybody has a desk
a-copy-of-this-page = A copy of this page for each student who has none; only they and you write on it.
paper = Paper
lies = Lies
on-its-side = On its side
upright = Upright
ruling = Ruling
spacing = Spacing
paper-colour = Paper colour
take-the-picture-off-the = Take the picture off the paper
picture-as-paper = Picture as paper
cleared-undo-brings-it-back = Cleared. Undo brings it back.
work-of = { $name }’s work
everything-not-locked = Everything not locked
all-students-work = All students’ work
my-work = My work
find-words-on-all-boards = Find words on all boards
typed-words-and-ink-by = Typed words, and ink by what it reads as.
plan-of-the-next-lesson = Plan of the next lesson
what-it-is-about = What it is about
when = When
minutes-planned = Minutes
pages-it-needs-one-to = Pages it needs, one to a line
warm-up = Warm-up
those-that-the-board-has = Those that the board has not got are added when you open it for the lesson.
keep-the-plan = Keep the plan
at-the-last-lesson = At the last lesson
here-so-far = Here so far
file-of-a-saved-board = File of a saved board
file-of-a-whole-room = File of a whole room
a-bright-board-for-a = A bright board for a live lesson
write-with-a-pen-turn = Write with a pen, turn the scrawl into clean type and true figures, and say at each moment who else may write.
what-is-the-lesson-about = What is the lesson about?
shadows-and-sundials = Shadows and sundials
your-name-as-students-see = Your name, as students see it
open-a-room-now = Open a room now
no-account-is-needed-this = No account is needed: this browser keeps the key to the room. Students need only the link that you send them.
your-rooms = Your rooms
bring-a-room-in-that = Bring a room in that was taken along
a-new-password = A new password
if-there-is-such-an = If there is such an account and it has a mail address, a link is on its way. It is good for three days.
back-to-signing-in = Back to signing in
user-name-or-mail-address = User name or mail address
send-me-a-link = Send me a link
sign-in = Sign in
make-an-account = Make an account
mail-address-for-a-forgotten = Mail address, for a forgotten password
user-name = User name
password = Password
make-the-account = Make the account
make-an-account-instead = Make an account instead
i-have-an-account = I have an account
i-have-forgotten-the-password = I have forgotten the password
send-this-to-students = Send this to students
they-type-a-name-no = They type a name; no account.
for-onlookers = For onlookers
a-parent-or-a-screen = A parent or a screen in a room: sees the board, never writes.
for-a-projector = For a projector
the-board-alone-it-looks = The board alone; it looks where you look.
taught-in = Taught in
handwriting-is-read-with-the = Handwriting is read with the words of this language.
write-it-once-and-your = Write it once, and your ink is read better.
between-lessons = Between lessons
a-lesson-is-on-this = A lesson is on: this counts once it has ended.
whoever-comes-in-by-the = Whoever comes in by the link is listed here.
keep-this-room = Keep this room
this-browser-has-the-only = This browser has the only key. With an account the room opens from anywhere.
this-browser-keeps-no-key = This browser does not keep the key: when it forgets you, nobody opens this room as its tutor. An account keeps it.
keep-it-as = Keep it as { $name }
keep-it-with-an-account = Keep it with an account
spanish = Spanish
german = German
french = French
english = English
closed = Closed
students-can-write = Students can write
students-can-look = Students can look
the-lesson-is-on = The lesson is on
open-a-board-to-prepare = Open a board to prepare it, and the lesson when you are ready.
students-who-open-the-link = Students who open the link are in at once.
go-to-the-lesson = Go to the lesson
kept-all-the-time = kept all the time
bring-a-board-in = Bring a board in
a-board-that-was-saved = A board that was saved as a package, here or in another room
first-page-of = First page of { $title }
save-as-a-file-that = Save { $title } as a file that any room can bring in, all of it still to be changed
save-as-a-package = Save as a package
opening-the-room = Opening the room.
title-of-window = { $title } · Sun Room
the-whole-room = The whole room
the-old-link-leads-nowhere = The old link leads nowhere at once, and onlookers who are here go out.
the-old-link-leads-nowhere-2 = The old link leads nowhere at once. Who is in the room stays; send the new link to the others.
change-the-link = Change the link
new-link-for-students = New link for students
new-link-for-onlookers = New link for onlookers
take-the-whole-room-along = Take the whole room along
type-to-say-that-you = Type “{ $title }” to say that you mean it
delete-the-room = Delete the room
keep-it = Keep it
and-all-that-was-ever = “{ $title }” and all that was ever on it go for good. Save it as a package first, if in doubt.
delete-it = Delete it
delete-named = Delete { $title }
delete = Delete
your-account = Your account
details = Details
mail-address = Mail address
the-mail-address-is-only = The mail address is only for a new password, when you have forgotten the old one.
keep-these = Keep these
old-password = Old password
new-password = New password
change-the-password = Change the password
signed-in-on = Signed in on
this-browser = this browser
sign-out-browser = Sign out { $name }
sign-out-all-others = Sign out all others
delete-the-account = Delete the account
your-password = Your password
delete-everything-of-mine = Delete everything of mine
keep-the-account = Keep the account
opening-your-account = Opening your account.
that-browser-is-signed-out = That browser is signed out.
all-other-browsers-are-signed = All other browsers are signed out.
the-password-is-changed-all = The password is changed. All other browsers are signed out.
your-details-are-kept = Your details are kept.
your-account-sun-room = Your account · Sun Room
the-password-is-changed-and = The password is changed, and every browser is signed out.
sign-in-with-it = Sign in with it
write-each-sign-in-its = Write each sign in its box and each line in its own, as you always write; lines teach how you join. Once is enough, three times are better; every box is kept, so stop when you like. Only your own ink is read by it.
letters-and-digits-written = Letters and digits written
of-letters-and-digits = { $done } of { $count } letters and digits
learned-from-corrected-readings = Learned from corrected readings
take-it-along-inkml = Take it along (InkML)
a-hand-that-was-taken = A hand that was taken along (InkML), from another browser or room
bring-one-in = Bring one in
file-of-a-hand = File of a hand
throw-it-away = Throw it away
yes-throw-it-all-away = Yes, throw it all away
not-written-yet = not written yet
written-times = written { $count } times
throw-away-the-last = Throw away the last “{ $character }”
a-lesson-with = A lesson with { $tutor }
come-in = Come in
the-others-in-the-lesson = The others in the lesson see this name. You need no account.
finding-the-room = Finding the room.
onlooker = Onlooker
the-door-has-a-code = The door has a code
code = Code
that-is-not-the-code = That is not the code. Ask your tutor for it.
not-just-now = Not just now
has-not-let-you-in = { $tutor } has not let you in. You can knock again in a moment.
knock-again = Knock again
you-have-knocked = You have knocked
sees-your-name-and-will = { $tutor } sees your name and will let you in. Stay on this page.
pair-this-device = Pair this device
sit-there = Sit there
pair = Pair
pair-a-device-sun-room = Pair a device · Sun Room
at-the-door = At the door
at-the-door-count = At the door · { $count }
let-all-in = Let all in
not-now-for = Not now for { $name }
not-now = Not now
let-in-name = Let { $name } in
let-in = Let in
pass-a-pen-for = Pass a pen for
until-taken-back = until taken back
pen-of-may = { $name }’s pen may
as-everyones = as everyone’s
follow = Follow { $name }
see-as-does = See as { $name } does
new-name = New name
rename-name = Rename { $name }
make-a-helper = Make { $name } a helper
make-a-student-again = Make { $name } a student again
hand-the-room-over-to = Hand the room over to { $name }
send-to-the-porch = Send { $name } to the porch
stays-out-of-this-room = { $name } stays out of this room until you start another one.
from-now-on-everybody-new = From now on everybody new knocks. With an open door { $name } could come in again under another name.
yes-send-away-name = Yes, send { $name } away
send-away-name = Send { $name } away
chat = Chat
nothing-has-been-said-yet = Nothing has been said yet.
say-it-to = Say it to
to-everyone = To everyone
to-the-tutor = To the tutor
to-name = To { $name }
say-something = Say something

## People

people = People
class = Class
here-now = Here · { $count }
hands-up =
    { $count ->
        [one] one hand up
       *[other] { $count } hands up
    }
you-are = you are { $name }
fold = Fold the people away
unfold = Show the people
find-name = Find a name
sort-by = In the order of
sort-hand = By hand
sort-name = By name
sort-page = By page
sort-stroke = By last stroke
choose-some = Choose some
done-choosing = Done choosing
choose-all = All
choose-none = None
choose-person = Choose { $name }
for-chosen = For the { $count } chosen
pass-pens = Pass pens
take-pens-back = Take back
more-for-chosen = More for the chosen
lower-hands = Lower their hands
their-pens-may = Their pens may
say-to-them = Say to each of them
say = Say
send-them-away = Send them away
send-some-away-sure =
    { $count ->
        [one] One person stays
       *[other] { $count } people stay
    } out of this room until you start another one.
yes-send-them = Yes, send them away
not-here = Not here
gone-since = since { $time }
take-off-list = Take { $name } off the list
nobody-else = Nobody else is here yet. Students come in by the link: press Invite.
here-often = You are here { $count } times: in other tabs or on other devices. All write as { $name }.
unread =
    { $count ->
        [one] one line not read yet
       *[other] { $count } lines not read yet
    }
somebody = somebody
role-tutor = tutor
role-helper = helper
role-student = student
role-onlooker = onlooker
is-here = here
is-writing = writing
has-a-pen = has a pen
pen-still = pen for { $time }
hand-number =
    { $place ->
        [1] hand up, first
       *[other] hand up, number { $place }
    }
on-board = on “{ $board }”
on-page = on page { $number }
whom-you-follow = you follow
line-slow = slow line
line-poor = poor line
line-flooding = sends too much
lower-hand-of = Lower { $name }’s hand
pass-pen-to = Pass a pen to { $name }
take-pen-from = Take the pen back from { $name }
more-about = More about { $name }
hand-up = Put hand up
hand-down = Hand down
hand-place = number { $place } in line
your-hand-word = Put it up with a word
hand-stuck = I am stuck
hand-answer = I have an answer
hand-done = I am done
signs = Signs
show-a-sign = Show a sign
sign-yes = Yes
sign-no = No
sign-bravo = Well done
sign-wow = Oh!
sign-slower = Slower, please
sign-lost = I am lost
sign-count = { $sign } · { $count }
signs-seen = Seen: clear the signs
sound-came = Somebody comes in
sound-went = Somebody goes
sound-hand = A hand goes up
sound-knock = A knock at the door
sound-time = Time is up

## What a class does

look-here = Look here
together = Together
class-together = Together
keep-together = Keep together
let-go = Let go
ask = Ask
time = Time
pass-to-next = Pass a pen to the next hand
lower-all = Lower all hands
pause-lesson = Pause the lesson
show-writers = Show who wrote what
hide-writers = Hide who wrote what
clear-pointers = Clear pointers
time-for-task = Time for a task
time-what-for = What for (if you like)
minutes-of-task = Minutes
start-time = Start
stop = Stop
ask-everybody = A question to everybody
the-question = The question
answers-by-line = Answers, one to a line
ask-it = Ask it
prepare = Keep for later
prepared = Prepared
drop-question = Throw this question away
a-to-d = A to D
yes-or-no = Yes or no
answer-yes = yes
answer-no = no
question = Question
what-do-you-say = What do you say?
answered = { $count } of { $students } answered
answers = Answers
show-answers = Show to everybody
hide-answers = Hide from students
who-said-what = Who said what
put-away = Put away
fold-question = Fold the question
unfold-question = Show the question
may-change-answer = You can change your answer while this is open.
the-door = The door
come-in-by = Come in by
door-open = Open
door-open-hint = Whoever has the link is in at once.
door-knock = Knock
door-knock-hint = You see who knocks, and let them in.
door-code = Code
door-code-hint = Whoever has the link and the code is in.
code-hint = six or more letters or digits
code-of-door = Code of the door
set-code = Set the code
code-is = The code is { $code }.
invite = Invite
invite-students = Students come in here
invite-qr = QR code of the students’ link
invite-by-mail = Write a mail with it
invite-subject = Lesson: { $room }
invite-mail = Come to “{ $room }” by this link: { $address } You type your name, nothing else is needed.
invite-open = They type a name; no account.
invite-knock = They type a name and knock; you let them in.
invite-code = They type a name and the code: { $code }

## Over the sill

sill = Sill
read-it = Read: take it away
fetching-board = Fetching the board.
you-may = You may: { $what }.
pen-for = You have a pen for { $time }.
kept-together = { $name } keeps everyone together here. You can look closer.
seeing-as = You see the lesson as { $name } does, and can do nothing here.
back-to-own-view = Back to my own view
you-follow = You follow { $name }.
stop-following = Stop following
looking-as = You are looking as { $name }. Go back to your own view to do that.
strokes-aside =
    { $count ->
        [one] One stroke not on the board yet
       *[other] { $count } strokes not on the board yet
    }
things-aside =
    { $count ->
        [one] One thing not on the board yet
       *[other] { $count } things not on the board yet
    }
no-line-tell = There is no line to the server just now. Try again when it is back.
no-line-undo = There is no line to the server just now. Undo works again when it is back.
no-line-words = There is no line to the server just now. Your words are still in the field.
link-changed = The room has another link now. You stay in; send the new one to the others.
undone-on = Undone on page { $number }.
redone-on = Redone on page { $number }.
page-was-taken = That page was taken off the board.
server-silent = The server does not answer. Nothing was lost; try again in a moment.
waiting-title = The server does not answer
waiting-kept = What you wrote is kept in this browser and goes to the board as soon as the server is back.
waiting-again = This page tries again every few seconds.
waiting-now = Try now
server-could-not = The server could not do that ({ $status }).

## Sill: tools and what is chosen

undo = Undo
redo = Redo
ink = Ink
highlighter = Highlighter
highlighter-colour = Highlighter colour
colour-black = Black
colour-blue = Blue
colour-red = Red
colour-green = Green
colour-purple = Purple
colour-yellow = Yellow
colour-mint = Mint
colour-rose = Rose
colour-sky = Sky
colour-peach = Peach
colour-lilac = Lilac
colour-sand = Sand
nib-narrow = Narrow
nib-medium = Medium
nib-wide = Wide
nib-pencil = Pencil
nib-pen = Pen
nib-brush = Brush
pens = Pens
pen-name = { $kind }, { $width } wide
change-pen = Change this pen
pen-kind = Kind
pen-speed = With a mouse or finger, haste thins the line
pen-how = Shift draws straight.
steadiness = Steadiness
keep-level = Keep level
ends-none = Plain
ends-arrow = Arrow
ends-arrows = Two arrows
dash-solid = Solid
dash-dashed = Dashed
dash-dotted = Dotted
note-colour = Note colour
note-how = Press on the board and type. Your name goes on it.
table-how = Press where it is to stand. Rows pasted from a spreadsheet become a table too.
select-by = Select by
select-box = Box
select-lasso = Lasso
choose = Choose
snap = Catch at edges and lines
shift-adds = Shift adds.
eraser-takes = Eraser takes
eraser-strokes = Whole strokes
eraser-rubs = What it touches
eraser-how = It grows with speed.
length = Length
point-with = Point with
point-light = A light that fades
point-arrow = An arrow that stays
take-mine-away = Take mine away
move-how = Drag the paper. Two fingers or Ctrl and the wheel zoom.
chosen =
    { $what ->
        [ink] { $count ->
            [one] one stroke
           *[other] { $count } strokes
        }
        [text] { $count ->
            [one] one text
           *[other] { $count } texts
        }
        [shape] { $count ->
            [one] one figure
           *[other] { $count } figures
        }
        [formula] { $count ->
            [one] one formula
           *[other] { $count } formulas
        }
        [graph] { $count ->
            [one] one graph
           *[other] { $count } graphs
        }
        [chart] { $count ->
            [one] one chart
           *[other] { $count } charts
        }
        [note] { $count ->
            [one] one note
           *[other] { $count } notes
        }
        [table] { $count ->
            [one] one table
           *[other] { $count } tables
        }
        [picture] { $count ->
            [one] one picture
           *[other] { $count } pictures
        }
        [card] { $count ->
            [one] one card
           *[other] { $count } cards
        }
       *[thing] { $count ->
            [one] one thing
           *[other] { $count } things
        }
    }
chosen-yours =
    { $what ->
        [ink] { $count ->
            [one] one stroke of yours
           *[other] { $count } strokes of yours
        }
        [text] { $count ->
            [one] one text of yours
           *[other] { $count } texts of yours
        }
        [shape] { $count ->
            [one] one figure of yours
           *[other] { $count } figures of yours
        }
        [formula] { $count ->
            [one] one formula of yours
           *[other] { $count } formulas of yours
        }
        [graph] { $count ->
            [one] one graph of yours
           *[other] { $count } graphs of yours
        }
        [chart] { $count ->
            [one] one chart of yours
           *[other] { $count } charts of yours
        }
        [note] { $count ->
            [one] one note of yours
           *[other] { $count } notes of yours
        }
        [table] { $count ->
            [one] one table of yours
           *[other] { $count } tables of yours
        }
        [picture] { $count ->
            [one] one picture of yours
           *[other] { $count } pictures of yours
        }
        [card] { $count ->
            [one] one card of yours
           *[other] { $count } cards of yours
        }
       *[thing] { $count ->
            [one] one thing of yours
           *[other] { $count } things of yours
        }
    }
typeset = Typeset
quoted = “{ $words }”
words = Words
other-readings = Other readings
branch = Branch
branch-of = of “{ $words }”
mind-map = Mind map
word-count =
    { $count ->
        [one] one word
       *[other] { $count } words
    }
true-up = True up
true-up-all = True up all
figure-count =
    { $count ->
        [one] one figure
       *[other] { $count } figures
    }
text-count =
    { $count ->
        [one] one text
       *[other] { $count } texts
    }
formula-count =
    { $count ->
        [one] one formula
       *[other] { $count } formulas
    }
each-as-it-is = Each as it is
made-even = made even
no-figure-seen = no figure seen
reading = Reading
ink-stays = the ink stays as it is
as-written = As written
as-written-hint = back to the ink
edit-words = Edit words
look = Look
rows-and-columns = Rows and columns
arrange = Arrange
who = Who
who-made-this = Who made this
copied-to-paste = Copied. Ctrl V pastes it.
duplicate = Duplicate
locked = Locked
locked-hint = stays in its place
select-nothing = Select nothing

## Pages and the view

pages = Pages
page-of = { $number } of { $count }
page-before = The page before
page-after = The page after
all-pages = All pages
page-name = Page { $number } { $title }
pages-of-board =
    { $count ->
        [one] One page
       *[other] { $count } pages
    }
page-and-paper = Page and paper
add-page = Add a page
add-a-page = Add a page here
page-open = open
page-hidden = hidden
who-sees-it = Who sees it
sees-everybody = Everybody
to-a-board = To a board
copy-there = Copy there
move-there = Move there
page-copied-to = The page was copied to “{ $board }”.
page-moved-to = The page was moved to “{ $board }”. Undo here brings it back here.
page-tutor = tutor
paper-same = Like this one
paper-same-hint = same paper
paper-endless = Endless, squares
paper-endless-hint = grows in any direction
paper-roll = Roll, lines
paper-roll-hint = grows down as you write
paper-a4-squares = A4 sheet, squares
paper-a4-plain = A4 sheet, plain
paper-lying = lying
paper-standing = standing
view = View
zoom = Zoom
zoom-in = Zoom in
zoom-out = Zoom out
whole-page = Whole page
page-width = Width of the page
what-is-selected = What is selected
true-size = True size
half-page-down = Half a page down
back-to-place = Back to where I was
board-only-end = Show everything

## Chat

said-to-you = to you
said-to-tutor = to the tutor
said-to = to { $name }

## Coming in

room-closed = The room is closed
no-way-in = No way in here
lets-you-in = This page lets you in by itself when it opens.
sign-in-to-room = Sign in to the room
knock = Knock
out-of-room = You are out of the room

## Rooms and accounts

reading-ink-of =
    { $count ->
        [one] Reading the ink of one more page…
       *[other] Reading the ink of { $count } more pages…
    }
found-on-page = { $title }, page { $number }
found-in-ink = { $title }, page { $number }, in ink
nothing-typed-or-written-reads = Nothing typed or written reads like “{ $words }”.
people-have-seats =
    { $count ->
        [0] Nobody has been in yet.
        [one] One person has a seat.
       *[other] { $count } people have seats.
    }
last-lesson-minutes = Last lesson { $day }, { $minutes } minutes.
next-lesson = Next: { $lesson }
next-lesson-untitled = Next: a lesson
planned-for = { $day }, { $time }
planned-for-minutes = { $day }, { $time }, { $minutes } minutes
board-facts =
    { $count ->
        [one] one page, { $when }
       *[other] { $count } pages, { $when }
    }
another-room = + Room
was-there =
    { $count ->
        [0] less than a minute
        [one] one minute
       *[other] { $count } minutes
    }
record-of-this-lesson = Who changed what in this lesson
record-of-last-lesson = Who changed what in the last lesson
with-the-room-go =
    With the room go { $boards ->
        [one] its board
       *[other] its { $boards } boards
    }, { $people ->
        [one] the seat of one person
       *[other] the seats of { $people } people
    }, all pictures, the chat and the record. Nothing of it can be brought back.
one-file-with-every-board = One file with every board, to be brought in on any server’s start page. { $used } of { $most } MB on this server are used.
you-sign-in-as = You sign in as { $name }.
last-used = last used { $when }
account-goes =
    { $rooms ->
        [0] You own no room.
        [one] Your room goes with it: its boards, pictures, chats, records and all seats.
       *[other] Your { $rooms } rooms go with it: their boards, pictures, chats, records and all seats.
    } Your own hand goes too. Nothing of it can be brought back; take your rooms along first.
this-device-will-sit = This device will sit in the seat of { $name } in “{ $room }”.
this-browser-sat = This browser sits there as { $name } now, and will not any more.
on-the-device-that-you = On the device that you are in the lesson with, open your menu and press “Pair a device”. It shows a code.
bringing-board-in = Bringing the board in.
bringing-room-in = Bringing the room in.

## Board

board-things-on-this-page =
    { $count ->
        [one] Board, one thing on this page
       *[other] Board, { $count } things on this page
    }
editor-keys = { $what }. Escape, or Ctrl and Enter, put it on the board.
word-of-line = Word { $word } of line { $line }
page-number = Page { $number }
desk-of = Desk of { $name }
minutes =
    { $count ->
        [one] 1 min
       *[other] { $count } min
    }
day-and-time = { $day }, { $time }

## Said by the server

a-password-has-at-most = A password has at most { $password } characters.
that-link-is-not-good = That link is not good, or not any more. Ask for a new one.
accounts-on-this-server-are = Accounts on this server are made by whoever runs it.
accounts-on-this-server-are-2 = Accounts on this server are by invitation. This one is none, is used, or too old.
there-is-no-room-at = There is no room at this address. Check the link with your tutor.
every-seat-in-this-room = Every seat in this room is taken. Ask the tutor.
that-code-is-not-good = That code is not good, or not any more. Ask for a new one on the first device.
that-name-and-password-do = That name and password do not belong together.
this-key-does-not-open = This key does not open the room. It may have been claimed by an account.
sign-in-first-then-keep = Sign in first, then keep the room with your account.
only-the-person-who-started = Only the person who started this room can keep it.
somebody-has-that-user-name = Somebody has that user name already. Choose another.
a-sample-is-of-one = A sample is of one character, or of a line of up to { $characters }.
a-character-is-between-1 = A character is between 1 and { $strokes } strokes.
a-stroke-of-a-character = A stroke of a character is not so long.
a-line-is-between-1 = A line is between 1 and { $strokes } strokes.
a-line-of-a-hand = A line of a hand is not so long.
no-sample-of-a-single = No sample of a character or a line is in this file.
you-can-say-something-to = You can say something to everybody or to the tutor.
there-is-nothing-of-yours =
    { $how ->
        [redo] There is nothing of yours left to redo.
       *[undo] There is nothing of yours left to undo.
    }
step-failed = That could not be done, by a fault of the room. What you made is kept for you.
the-page-changes-too-fast = The page changes too fast for that just now. Try it again in a moment.
that-board-is-no-longer = That board is no longer in this room.
a-steps-id-has-6 = A step’s id has 6 to 32 characters.
you-are-no-longer-in = You are no longer in the room.
this-room-was-deleted-by = This room was deleted by its tutor.
the-lesson-is-over-and = The lesson is over and the room is closed until the next one.
this-device-is-no-longer = This device is no longer paired.
this-browser-was-signed-out = This browser was signed out.
the-link-for-onlookers-was = The link for onlookers was changed. Ask for the new one.
the-tutor-has-asked-you = The tutor has asked you to wait at the door.
the-tutor-has-sent-you = The tutor has sent you out of this room.
only-a-student-who-is = Only a student who is here can be passed a pen.
sign-in-first = Sign in first.
that-is-not-the-password = That is not the password of this account.
that-is-no-mail-address = That is no mail address.
come-into-the-room-first = Come into the room first; then another device can be paired.
pairings-are-ended-on-the = Pairings are ended on the first device.
type-the-rooms-title-to = Type the room’s title to say that you mean it. Nothing was deleted.
a-room-keeps-at-least = A room keeps at least one board.
this-is-the-tutors-side = This is the tutor’s side of the room. Sign in, or use the students’ link.
a-room-has-at-most = A room has at most { $boards } boards. Delete one that is no longer needed.
this-board-is-not-open = This board is not open to you. Come in by the room’s link.
many-files-are-being-made = Many files are being made just now. Try again in a moment.
only-the-rooms-tutor-can = Only the room’s tutor can save its boards as packages.
there-is-no-such-file = There is no such kind of file.
there-is-no-such-picture = There is no such picture in this room.
this-board-cannot-be-opened = This board cannot be opened just now. Nothing of it is lost: whoever runs the server can mend it.
that-is-too-large-a = That is too large a file for this server. Nothing was changed.
the-file-is-larger-than = The file is larger than { $mb } MB.
come-into-the-room-first-2 = Come into the room first; then you can write your practice page.
the-file-of-a-hand = The file of a hand is no larger than { $mb } MB.
this-cannot-be-read-the = This cannot be read. The ink stays as it is.
that-is-more-than-strokes = That is more than { $strokes } strokes. Select a part of it.
there-is-no-ink-to = There is no ink to read.
this-ink-could-not-be = This ink could not be read just now.
tabs-and-devices-of-yours = { $ofseat } tabs and devices of yours are here already. Close some of them.
more-comes-from-here-than = More comes from here than any hand can write. You are being slowed down.
more-browsers-of-one-address = More browsers of one address are here than this server takes.
this-page-did-not-say = This page did not say what it wants. Reload it.
that-message-is-larger-than = That message is larger than any of its kind.
this-page-is-older-than = This page is older than the server. Reload it.
come-in-by-the-rooms = Come in by the room’s link first.
onlookers-look-and-nothing-is = Onlookers look, and nothing is read for them.
the-server-could-not-understand = The server could not understand that: { $error }.
the-line-is-not-as = The line is not as expected: { $error }.
a-stroke-has-1-to = A stroke has 1 to { $samples } points of two to four numbers.
a-point-is-not-finite = A point is not finite or lies off every board.
the-line-is-longer-than = The line is longer than { $mb } MB.
a-pages-title-is-one = A page’s title is one line of at most { $title } characters.
a-desk-belongs-to-one = A desk belongs to one person.
a-page-has-at-most = A page has at most { $bays } bays, each with an id of its own.
a-bays-title-is-one = A bay’s title is one line of at most { $title } characters.
that-bay-is-for-too = That bay is for too many people, or for somebody unknown.
a-sheet-measures-between-200 = A sheet measures between 200 and 10,000 units a side.
that-is-more-than-can = That is more than can be done at once. Take a smaller part.
that-is-no-longer-on = That is no longer on the board.
that-is-on-the-board = That is on the board already.
that-page-is-no-longer = That page is no longer on the board.
a-board-has-at-most = A board has at most { $pages } pages.
a-page-with-more-than = A page with more than { $copied } things is too full to be copied.
a-line-has-two-handles = A line has no more than two handles.
a-board-keeps-at-least = A board keeps at least one page that everybody sees.
a-new-page-starts-empty = A new page starts empty.
nobody-has-such-a-seat = Nobody has such a seat.
a-sketch-has-at-most = A sketch has at most { $figures } figures, each with its own id.
a-mind-map-has-at = A mind map has at most { $mapparts } words and lines, each with its own id.
an-erasers-path-has-between = An eraser’s path has between 1 and { $rubpoints } points.
there-was-no-ink-under = There was no ink under the eraser.
a-step-adds-between-1 = A step adds between 1 and { $stepitems } items.
two-items-of-the-step = Two items of the step have the same id.
the-figure-is-too-small = The figure is too small to be seen.
the-page-is-full-add = The page is full. Add a page to go on.
a-table-has-1-to = A table has 1 to { $tableside } rows and columns.
the-tables-cells-do-not = The table’s cells do not fill its rows.
the-figure-has-too-few = The figure has too few or too many points.
a-colour-is-written-as = A colour is written as # and six digits from 0 to f.
that-would-make-the-item = That would make the item too small to be found again.
an-id-has-6-to = An id has 6 to 32 letters, digits, dashes or underscores.
a-number-is-missing-not = A number is missing, not finite, or off every board.
there-is-no-text-to = There is no text to put on the board.
the-text-has-characters-are = The text has { $count } characters; { $longest } are the most.
the-text-has-characters-that = The text has characters that cannot be shown.
the-lies-between-and = { $value } lies between { $low } and { $high }.
the-item-was-made-from = The item was made from more ink than can be kept with it.
the-text-changes-its-style = The text changes its style more than { $spans } times.
the-styles-of-the-text = The styles of the text do not fit its characters.
the-strokes-bytes-do-not = The stroke’s bytes do not make whole samples.
the-stroke-has-samples-are = The stroke has { $count } samples; { $samples } are the most.
the-stroke-has-a-point = The stroke has a point that is not on any board.
that-rubs-over-too-much = That rubs over too much at once. Rub a smaller part.
the-picture-is-larger-than = The picture is larger than { $mb } MB.
this-is-no-picture-that = This is no picture that can be shown: PNG, JPEG, WebP or GIF.
the-picture-is-damaged-and = The picture is damaged and cannot be read.
the-picture-has-more-than = The picture has more than 50 million points.
the-boards-title-is-missing = The board’s title is missing or over { $title } characters.
a-board-has-between-1 = A board has between 1 and { $pages } pages.
two-pages-of-the-board = Two pages of the board have the same id.
this-file-has-no-board = This file has no board in it.
a-page-of-the-board = A page of the board has more than { $items } items.
two-items-of-a-page = Two items of a page have the same id.
a-picture-of-the-board = A picture of the board is missing from the package.
this-is-no-package-of = This is no package of a board, or it is damaged.
this-file-has-no-board-2 = This file has no board of Sun Room in it.
the-package-was-saved-by = The package was saved by a later version of Sun Room than this one.
the-board-in-the-package = The board in the package cannot be read: { $error }.
there-is-more-in-the = There is more in the package than any board has.
the-package-is-compressed-in = The package is compressed in a way that is not read here.
the-file-is-xml-but = The file is XML but not InkML: its root is not <ink>.
the-trace-format-has-no = The trace format has no X or no Y.
the-trace-format-has-more = The trace format has more than { $channels } channels.
the-file-has-traces-are = The file has { $count } traces; { $traces } are the most.
a-trace-has-between-1 = A trace has between 1 and { $samples } points.
the-file-is-not-readable = The file is not readable as InkML: { $error }.
a-trace-has-a-point = A trace has a point that is no point: { $point }.
a-trace-has-a-point-2 = A trace has a point that is not made of numbers: { $point }.
a-trace-has-a-number = A trace has a number that is not finite.
the-file-was-saved-by = The file was saved by a later version of Sun Room than this one.
this-is-no-file-of = This is no file of a room, or it is damaged.
the-room-in-the-file = The room in the file cannot be read: { $error }.
this-file-has-no-room = This file has no room in it.
a-room-has-between-1 = A room has between 1 and { $boards } boards.
there-is-nothing-to-say = There is nothing to say yet.
that-is-characters-are-the = That is { $count } characters; { $said } are the most at once.
a-code-has-to-letters = A code has { $codelength } to { $codelength2 } letters or digits.
a-lesson-is-up-to = A lesson is up to { $lessonminutes } minutes long.
that-is-no-day-of = That is no day of any calendar.
a-plan-has-up-to = A plan has up to { $plannedpages } pages with short titles.
a-countdown-runs-for-up = A countdown runs for up to four hours.
a-question-has-to-different = A question has { $options } to { $options2 } different answers.
the-question-has-no-id = The question has no id.
that-question-has-been-put = That question has been put away.
that-is-none-of-the = That is none of the answers.
that-is-longer-than-characters = That is longer than { $words } characters, or has some that cannot be seen.
a-pen-is-passed-for = A pen is passed for up to { $penminutes } minutes.
the-step-names-no-item = The step names no item, or too many.
that-was-tried-too-often = That was tried too often. Wait a minute and try again.
the-request-could-not-be = The request could not be understood: { $error }.

## Why somebody may or may not: the rule book’s reasons

reason-allowed = You can write.
reason-passed = You have a pen.
reason-up = Pens are up: everybody can write.
reason-grace = Finished in time.
reason-onlooker = You are looking on. Onlookers see the board and do not write.
reason-locked = That is locked by the tutor.
reason-pens-down = Pens are down. { $writer } is writing. Put your hand up to ask for a pen.
reason-no-pen = Some people have a pen just now. Put your hand up to ask for one.
reason-withheld = Pens are up, but yours is put away for now. Put your hand up to ask for it.
reason-expired = Your pen’s time is over. Put your hand up to ask for more.
reason-paused = The lesson is paused. Everybody can look; nobody writes.
hidden-page-cannot-be-led = This page is hidden from students. Show it to them first, then bring them here.
reason-page-hidden = This page is the tutor’s alone just now.
reason-page-tutor-side = Only the tutor writes on this page.
reason-page-of-another = That page was made by somebody else, who looks after its title and paper.
reason-page-open = This page is open: everybody can write on it.
reason-desk-yours = This is your desk: you and the tutor write here.
reason-desk-of-another = This desk belongs to somebody else.
reason-bay-tutor-side = Only the tutor writes in this bay.
reason-bay-open = This bay is open: everybody can write in it.
reason-bay-yours = This bay is yours to write in.
reason-bay-of-others = This bay is for somebody else to write in.
reason-not-in-kit = Your pen is not for that just now.
reason-no-chat = The tutor has switched that off for now.
reason-not-yours = That was made by somebody else, and your pen is for your own work.
reason-tutor-side-only = That is for the tutor.
reason-tutor-only = Only the tutor can do that.
reason-between-view = There is no lesson on. Until the next one the board can be looked at.
reason-between-closed = The room is closed until the next lesson.
person-not-here = That person is not here.
person-yourself = That cannot be done to yourself.
person-owner = This room is theirs: whoever leads it, they stay, and can take it back.
person-tutor = That person is leading the room. Hand it over first.
person-onlooker = Onlookers have a door of their own.
person-not-a-helper = Make that person a helper first, then hand the room over.
name-missing =
    { $what ->
        [title] Type a title first.
        [code] Type a code first.
       *[name] Type a name first.
    }
name-too-long =
    { $what ->
        [title] That title has { $count } characters; { $most } are the most.
        [code] That code has { $count } characters; { $most } are the most.
       *[name] That name has { $count } characters; { $most } are the most.
    }
name-unseen =
    { $what ->
        [title] That title has a character that cannot be seen. Type it again.
        [code] That code has a character that cannot be seen. Type it again.
       *[name] That name has a character that cannot be seen. Type it again.
    }
room-is-full = This room has used all its space on the server ({ $mb } MB). Nothing of it is lost. Delete boards on the room’s home, or ask whoever runs the server for more.
not-kept-just-now = The board cannot be kept just now. Writing goes on; it is tried again.
nothing-kept-for = Nothing could be kept for { $minutes } min. What has no tick of the server yet stays in this browser; tell whoever runs the server that its disk takes nothing.
door-closed = There is no lesson on, and the room is closed until the next one.
door-knocked-at = The door of this room is knocked at. Come in by the room’s link.
door-asks-code = The door of this room asks for a code. Come in by the room’s link.
password-too-short = A password has at least { $least } characters.
password-too-common = That password is too common.
password-entirely-numeric = A password is not of digits only.
password-too-similar = That password is too much like your name or mail address.
password-not-good = That password is not good enough.
user-name-not-good = That user name cannot be used. Choose letters and digits, without spaces.

## What was done in a lesson

did-pens-down = { $by } put pens down.
did-pens-passed = { $by } let holders of a pen write.
did-pens-up = { $by } put pens up.
did-pass-pen = { $by } passed a pen to { $name }.
did-pass-pen-for =
    { $minutes ->
        [one] { $by } passed a pen to { $name } for one minute.
       *[other] { $by } passed a pen to { $name } for { $minutes } minutes.
    }
did-take-pen = { $by } took the pen back from { $name }.
did-pass-to-next = { $by } passed the pen to the next hand.
all-may-point = Students may point without a pen
did-let-point = { $by } let everybody point.
did-stop-pointing = { $by } let nobody point without a pen.
did-set-rights = { $by } changed what pens may do.
did-set-rights-of = { $by } changed what { $name }’s pen may do.
did-make-helper = { $by } made { $name } a helper.
did-make-student = { $by } made { $name } a student.
did-send-away = { $by } sent { $name } away.
did-admit = { $by } let { $name } in.
did-admit-all = { $by } let everybody in.
did-turn-away = { $by } did not let { $name } in.
did-to-porch = { $by } sent { $name } to the porch.
did-rename = { $by } called { $name } “{ $new }”.
did-hand-over = { $by } handed the room over to { $name }.
did-take-room-back = { $by } took the room back.
did-door-open = { $by } opened the door to everybody with the link.
did-door-knock = { $by } opened the door to those who knock.
did-door-code = { $by } opened the door by a code.
did-pause = { $by } paused the lesson.
did-go-on = { $by } let the lesson go on.
did-between-view = { $by } lets students look between lessons.
did-between-write = { $by } lets students write between lessons.
did-between-closed = { $by } closes the room between lessons.
did-open = { $by } opened the lesson.
did-open-again = { $by } went on with the lesson.
did-end = { $by } ended the lesson.
did-ask = { $by } asked “{ $question }”: { $counts }.

## What was done to a thing

trace =
    { $what ->
        [made] made by { $name }
        [made_with_page] made with its page by { $name }
        [changed] changed by { $name }
        [moved] moved by { $name }
        [removed] removed by { $name }
       *[replaced] made into something else by { $name }
    }
trace-undo =
    { $what ->
        [made] brought back by { $name }
        [made_with_page] brought back with its page by { $name }
        [changed] a change taken back by { $name }
        [moved] moved back by { $name }
        [removed] taken away again by { $name }
       *[replaced] a change taken back by { $name }
    }
trace-redo =
    { $what ->
        [made] made once more by { $name }
        [made_with_page] made once more with its page by { $name }
        [changed] changed once more by { $name }
        [moved] moved once more by { $name }
        [removed] removed once more by { $name }
       *[replaced] made into something else once more by { $name }
    }
not-kept-now = The server cannot keep anything just now. What you wrote stays on this screen: try again in a while, and tell whoever runs the server.
person-not-listed = That person is here, or is not listed any more.
did-clear = { $by } cleared { $count } things.

## Keys

key-pens = The ready pens
key-pens-up = Pens up
key-pens-down = Pens down
key-look-here = Look here
key-pass-next = Pass a pen to the next hand
key-undo = Undo your last step
key-redo = Redo it
key-remove = Remove what is selected
key-arrows = Move what is selected, or the paper
key-all = Select all on the page
key-next = Select the thing before, the thing after
key-copy = Copy, cut, paste, also between boards
key-duplicate = Duplicate; again repeats the offset
key-group = Group; with Shift ungroup
key-order = One forward, one back
key-turn = Turn what is selected by 1°, with Shift by 15°
key-crosshair = With a tool that sets something down: choose the place, and set it there
crosshair-at =
    { $things ->
    [0] Place { $across }, { $down }
   *[other] Place { $across }, { $down }, on something
}
key-enter = Make selected ink what is offered first; edit the selected words
key-shift = While drawing: straight, in steps of 15°; equal sides
key-escape = Give up, or select nothing
key-pages = Turn pages
key-half-page = Half a page down
key-bays = The next bay, the one before
key-zoom = Zoom in and out
key-whole-page = Show the whole page
key-space = Held while dragging: move the paper
key-keys = These keys
put-away-named = Put { $title } away
boards-put-away =
    { $count ->
        [one] One board was put away
       *[other] { $count } boards were put away
    }
bring-back = Bring back

## Figures

figure-line = Line
figure-elbow = Elbow
figure-curve = Curve
figure-rectangle = Rectangle
figure-square = Square
figure-rounded = Rounded
figure-ellipse = Ellipse
figure-circle = Circle
figure-arc = Arc
figure-triangle = Triangle
figure-right-triangle = Right triangle
figure-parallelogram = Parallelogram
figure-rhombus = Rhombus
figure-trapezium = Trapezium
figure-pentagon = Pentagon
figure-hexagon = Hexagon
figure-polygon = Polygon
figure-star = Star
figure-heart = Heart
figure-brace = Brace
figure-axis = Axis
figure-axes = Two axes
figure-number-line = Number line
figure-tick = Tick
figure-cross = Cross
figure-polyline = Polyline
found-arrow = Arrow
found-double-arrow = Double arrow
found-same-size = { $figure }, size as its neighbour
found-triangle =
    { $form ->
        [right] Right triangle
        [isosceles] Isosceles triangle
        [equilateral] Equilateral triangle
       *[other] Triangle
    }
paper-kind-endless = Endless
paper-kind-roll = Roll
paper-kind-sheet = Sheet
ruling-plain = Plain
ruling-squares = Squares
ruling-dots = Dots
ruling-lines = Lines
ruling-handwriting = Handwriting
ruling-graph = Graph
ruling-isometric = Isometric
ruling-polar = Polar
paper-white = White
paper-cream = Cream
paper-mint = Mint
paper-sky = Sky
paper-rose = Rose
paper-slate = Slate

## Bays

bay-tutor-only = tutor only
bay-open-to-all = open to all
bay-nobody-yet = nobody yet
not-yours-to-move = That is not yours to move.
too-much-to-copy = That is more than can be copied at once. Copy it in parts.
asks-to-look = { $name }: look here.
hand-lines = Lines, written as you write words
keep-this-line = Keep this line
write-it-again = Write it again
hand-small = Small letters
hand-capitals = Capitals
hand-digits = Digits
hand-accents = Accents
hand-signs = Signs
your-desk = This is a copy of the page for you alone: your desk.
cannot-bring = “{ $name }” cannot be put on the board: pictures, PDF, text, Markdown, CSV and InkML can.
too-many-pictures = Only the first { $count } pictures were taken.
body-too-large = That is too large: { $size } are the most that can be sent here.
table-row = Row
table-column = Column
before-it = New before it
after-it = New after it
take-it-off = Take it off
take-the-row-off = Take the row off
take-the-column-off = Take the column off
draw-several = One after the other
swatch = { $hue } { $shade } ({ $colour })
hue-grey = Grey
hue-red = Red
hue-yellow = Yellow
hue-green = Green
hue-teal = Teal
hue-blue = Blue
hue-purple = Purple
hue-pink = Pink
reason-outside-bay = You can write in your bay, not beside it.
did-let-back = { $by } let { $name } come in again.
let-back-in = Let { $name } back in
was-sent-away = sent away

## The board for those who listen to it

page-in-words = The page in words
was-added =
    { $count ->
        [one] One thing was added by { $names }.
       *[other] { $count } things were added by { $names }.
    }
heard-ink =
    { $count ->
        [one] One stroke of ink by { $name }
       *[other] { $count } strokes of ink by { $name }
    }
heard-writing = Written by { $name }: { $words }
ink-as-words = Tell ink in the page’s words by what it says
heard-text = Text by { $name }: { $words }
heard-note = Note by { $name }: { $words }
heard-table = Table of { $rows } rows and { $columns } columns by { $name }: { $words }
heard-figure = { $figure } by { $name }: { $words }
heard-card =
    { $what ->
        [sound] Card for a sound
        [video] Card for a video
       *[other] Card for a link
    } by { $name }: { $words }
heard-picture = Picture by { $name }: { $words }
picture-text-hint = In words, for those who cannot see the picture. Search finds it too.
named-now = { $label }, { $now }

recovery-mail-subject = A new password for Sun Room
recovery-mail =
    Somebody, probably you, asked for a new password for the account { $name }.

    Choose one here, within three days:
    { $link }

    If it was not you, do nothing: the old password stays.
board-number = Board { $number }
package-about =
    A board saved by Sun Room. Bring it in on a room’s home to go on writing on it.

    board.json has its pages and what lies on them; “samples” of ink is base64: for N samples N pairs of float32 (x, y), N bytes of pressure (0–255), N uint16 of milliseconds, little-endian. “ink” of an item is what it was converted from. Pictures are in the folder pictures.
this-is-no-pdf-that = This is no PDF that can be read here.
the-document-is-locked = The PDF is locked by a password. Save it without one first.
a-document-has-pages = A PDF has between 1 and { $pages } pages here.
a-page-of-the-document = A page of the PDF is too small or too large to be shown.
the-document-has-no-such = The PDF has no such page.
the-document-has-gone = The PDF is no longer here: choose it again.
document-pages =
    { $count ->
    [one] one page
   *[other] { $count } pages
}
document-as = As
document-as-pages = Pages of the board
document-as-things = Things on this page
bringing-pages = Bringing pages in
document-progress = { $done } of { $count }
bring-pages =
    { $count ->
    [one] Bring one page in
   *[other] Bring { $count } pages in
}
opening-document = Opening the PDF…
attendance-name = name
attendance-minutes = minutes
picture-panel = Picture
crop-picture = Show a part
crop-hint = Drag the corners to the part that is to be seen. The rest stays in the picture.
show-whole = The whole picture
flatten-paper = Make a sheet flat
looking-for-sheet = Looking for the sheet of paper …
no-sheet-seen = No sheet of paper was seen: drag the corners to it.
sheet-corners-hint = Are the corners right? Drag them if they are not.
flat-sheet = The sheet, made flat
whiten-paper = White paper, without shadows
use-flat-sheet = Take the flat sheet
corner-upper-left = Upper left corner
corner-upper-right = Upper right corner
corner-lower-right = Lower right corner
corner-lower-left = Lower left corner
lift-ink = Its ink as strokes
lifting-ink = Looking for ink in the picture …
no-ink-seen = No ink was seen in this picture. A photo of paper is made flat first.
these-are-no-corners = These corners are none of a sheet of paper.
camera = Camera
camera-take = Take the picture
camera-again = Once more
camera-use = Put it on the page
camera-which = Which camera
camera-number = Camera { $number }
camera-paper = It is a sheet of paper: make it flat
camera-none = No camera was found here.
camera-made-up = Try it with a made-up picture
camera-is-made-up = A made-up picture, in place of a camera
not-a-kind-to-open = This kind of file cannot be opened here. Pictures, PDF, text, Markdown, CSV and InkML can.
the-file-is-empty = There is nothing in this file.
the-file-is-no-text = This file is no text.
the-file-is-no-table = This file is no table.
more-than-fits-a-page = The file holds more than { $things } things: bring it in as a PDF.
homework-has-words = A homework has between 1 and { $most } characters.
homework-is-enough = A room has at most { $most } homeworks: take old ones back.
homework-has-gone = This homework was taken back.
mail-address-is-none = “{ $mail }” is no mail address.
link-days = A link is good for 1 to { $most } days.
links-are-enough = A room has at most { $most } links to read by: end old ones.
this-link-is-over = This link leads nowhere any more. Ask whoever sent it for another.
mail-has-a-subject = A mail has a subject of at most { $most } characters in one line, and not too many words.
mail-is-too-large = The boards together are over { $mb } MB: send fewer, or a link to read by.
mail-read-link = To read “{ $title }” in the browser: { $link }
mail-to-whom = A mail goes to between 1 and { $most } people.
mail-boards = A mail takes at most { $most } boards.
no-seat-here = This browser has no place in this room yet: come in by its link first.
that-is-no-day = That is no day.
after-the-lesson = After the lesson
no-lesson-yet = There has been no lesson in this room yet.
lesson-from-to = { $day }, { $from } to { $to }
what-was-made = What was made
only-tutor-side-sees = hidden from students
take-pdf-of = “{ $title }” as PDF
take-everything = Everything of the room, in one file
homework = Homework
until-the-next-lesson = Until the next lesson
take-calendar = For the calendar (iCalendar)
send-boards = Send boards
links-to-read = Links to read by
links-to-read-hint = Whoever has such a link reads the board as students see it, until its day. Nobody writes by it.
outbox = Outbox
until-day = until { $day }
handed-in-by = Done: { $names }.
nobody-handed-in = Nobody has done it yet.
of-people = { $done } of { $count }
take-back = Take back
homework-what = What is to be done
homework-until = Until
homework-where = Where
nowhere-in-particular = On paper, or anywhere
give-homework = Give it
send-to = To
mail-of = Mail address of { $name }
send-to-others = And to
boards-as-pdf = Boards as PDF
with-read-link = with a link to read by
link-good-for-days = Good for days
with-calendar = with the next lesson for the calendar
mail-subject = Subject
mail-words = Words
sending = Sending …
board = Board
end-link = End it
make-link = Make a link
letter-to = { $to }, { $when }
letter-not-sent = not sent
letter-files = With it: { $files }
found-for = { $name }, in the room of { $tutor }
found-to-board = To the board
found-closed = The boards of this room are closed until the next lesson.
found-link = Boards, files and homework
handed-in = done
take-web-page = Web page
wrap-up-page = Homework, sending, all of it on one page
send-to-count =
    { $count ->
        [one] Send one mail
       *[other] Send { $count } mails
    }
mails-sent =
    { $count ->
        [one] { $went } of one mail went.
       *[other] { $went } of { $count } mails went.
    }
nothing-to-bring-back = There is nothing to bring back.
no-such-moment = There is no such moment.
moments-are-enough = A board has at most { $most } moments: remove old ones.
how-made = How “{ $title }” was made
this-page = this page
how-it-was-made = How it was made
nothing-made-yet = Nothing was made on this page yet.
play = Play
pause = Pause
place-in-time = Place in time
time-of = { $at } of { $all }
speed = { $value } ×
speed-word = Speed
shorten-pauses = Shorten pauses
whose-work = Whose work
fetching-steps = { $count } steps so far …
moments = Moments
moments-of = Moments of “{ $board }”
moment-name = Name for the board as it is now
keep-moment = Keep it
no-moments = No moments yet. One comes by itself when a lesson begins and when it ends.
moment-start = As a lesson began
moment-end = As a lesson ended
remove-named = Remove “{ $name }”
all-as-then = Nothing has changed since.
all-back = Make all pages so again
then = then
today = today
page-was-removed = This page was removed.
make-it-so-again = Make it so again
only-what-has-gone = Bring back only what has gone
brought-back = Brought back. Undo takes it away again.
fetching-moment = Fetching it …
choose-moment = Choose a moment to see it beside today.
everybody = Everybody
template-page = A ready page …
template-page-hint = charts, tables and drawings to write on
templates = Ready pages
template-search = Look for a page
template-none = No ready page is called so.
subject-thinking = Thinking and planning
subject-language = Language
subject-maths = Maths
subject-science = Science
no-such-template = There is no such ready page.
tpl-know-wonder-learned = What we know, wonder, learned
tpl-we-know = We know
tpl-we-wonder = We wonder
tpl-we-learned = We learned
tpl-compare-two = Compare two
tpl-one = One
tpl-other = The other
tpl-both = Both
tpl-timeline = In the course of time
tpl-mind-map = Around a topic
tpl-topic = Topic
tpl-story-map = Map of a story
tpl-who = Who
tpl-where-when = Where and when
tpl-problem = What goes wrong
tpl-first = First
tpl-then = Then
tpl-next = Next
tpl-end = How it ends
tpl-for-and-against = For and against
tpl-for = For
tpl-against = Against
tpl-i-think = What I think now
tpl-causes = Causes and effect
tpl-effect = Effect
tpl-notes = Notes with questions
tpl-questions = Questions
tpl-notes-here = Notes
tpl-in-short = In short
tpl-exit-ticket = Before we go
tpl-name = Name:
tpl-learned-today = One thing I learned today
tpl-still-unclear = One thing that is still unclear
tpl-one-example = An example of my own
tpl-rubric = What it is judged by
tpl-criterion = Criterion
tpl-begins = Begins
tpl-on-the-way = On the way
tpl-secure = Secure
tpl-beyond = Beyond
tpl-timetable = Timetable
tpl-time = Time
tpl-day-1 = Monday
tpl-day-2 = Tuesday
tpl-day-3 = Wednesday
tpl-day-4 = Thursday
tpl-day-5 = Friday
tpl-four-lines = Four lines to write in
tpl-dictation = Dictation
tpl-corrected = Corrected
tpl-vocabulary-cards = Cards for words
tpl-word = Word
tpl-meaning = Meaning
tpl-sentences = Building sentences
tpl-when = When
tpl-who-does = Who
tpl-does = Does
tpl-what = What
tpl-where = Where
tpl-verb-table = A verb in three times
tpl-past = Past
tpl-present = Present
tpl-future = Future
tpl-person-1 = I
tpl-person-2 = you
tpl-person-3 = he, she, it
tpl-person-4 = we
tpl-person-5 = you (all)
tpl-person-6 = they
tpl-dialogue = Dialogue
tpl-axes = Axes
tpl-number-lines = Number lines
tpl-hundred-square = Hundred square
tpl-times-square = Times tables to fill in
tpl-place-value = Place value
tpl-place-1 = Ten thousands
tpl-place-2 = Thousands
tpl-place-3 = Hundreds
tpl-place-4 = Tens
tpl-place-5 = Ones
tpl-place-6 = Tenths
tpl-place-7 = Hundredths
tpl-fraction-bars = Fraction bars
tpl-clock-faces = Clock faces
tpl-bar-chart = Bars to draw
tpl-lab-report = Report of an experiment
tpl-question = Question
tpl-i-expect = What I expect
tpl-how-done = How it is done
tpl-set-up = Drawing of the set-up
tpl-measured = What was measured
tpl-shows = What that shows
tpl-measurements = Measurements
tpl-trial = Trial
tpl-mean = Mean
tpl-diary = Diary of watching
tpl-date = Date
tpl-what-i-saw = What I saw
tpl-drawing = Drawing
tpl-cycle = A cycle
shelf = Shelf
shelf-is-full = The shelf is full: delete what you no longer need.
shelf-may-not-share = Only those whom the school allows put things on everybody’s shelf.
shelf-no-such-thing = That is no longer on the shelf.
shelf-put-away-first = Put it away first; then it can be deleted for good.
shelf-search = Look for words
shelf-empty = Nothing stands here yet. Put a page here by Page and paper, or a picture or a PDF by the button.
shelf-nothing-found = Nothing on the shelf has these words.
shelf-put-file = Put a picture or PDF here
shelf-put-page = Put it on the shelf
shelf-page-put = “{ $title }” stands on the shelf.
shelf-use = Use “{ $title }”
shelf-folder = Folder
shelf-no-folder = Without a folder
shelf-school = the school’s
shelf-share = For all tutors of the school
shelf-change = Change “{ $title }”
shelf-away = Put away
shelf-put-away = Put away ({ $count })
shelf-delete = Delete for good
office-not-here = This server cannot open documents of office programs. Save it as a PDF there, and bring that in.
office-took-too-long = The document took too long to become a PDF. Save it as a PDF yourself, and bring that in.
office-made-nothing = No PDF could be made of this document.
screen-take = From the screen
screen-refused = Nothing was taken: no window was chosen, or the browser does not allow it.
take-some = Chosen pages
take-written = What the ink says can be searched for
send-needs-account = Only a room that belongs to an account sends mail from this server. Claim the room on its home first.
a-card-leads-to-one = A card leads to one address, or plays one file.
no-sound-or-video = This is no sound and no video that browsers play (MP3, M4A, WAV, Ogg, FLAC, MP4, WebM).
no-such-medium = There is no such sound or video.
card-untitled = Untitled
card-new = A card for a link
card-change = Title and address
card-address = Address
card-address-problem = An address begins with https://, http:// or mailto: and has no spaces.
card-title = Title
card-of = It leads to
card-link = Link
card-sound = Sound
card-video = Video
card-hint = Your own sound and video files are brought in as files: they then play for everybody together.
card-put = Put it on the page
card-open = Open the link
card-listen = Play for me
card-play-all = Play for everybody
bringing-medium-in = Bringing the sound or video in …
player = Playing: { $title }
player-alone = For you alone
player-for-all = For everybody; you lead
player-led = { $name } leads
player-failed = This cannot be played here: the file is not in this room, or this browser does not know its kind.
player-listen = Press to hear it too
player-place = Place
player-large = Larger
player-small = Smaller
player-end = End for everybody
player-quiet = Mute here
player-loud = Hear it here
there-are-no-bays-there = There are no bays on these pages.
of-the-pdf = The PDF
take-desks = All desks
take-paper = Paper
paper-as-large = As large as each page
paper-letter = Letter
take-cut = Cut long pages into sheets to lay together
take-bays = Each bay alone, instead of pages
too-much-was-made-for-one = Too much was made on these pages to be played in one file. Take fewer pages.
of-the-web-page = The web page
take-making = Can play how the pages were made, erased things too
lost-ink = Ink of { $name }
lost-words = “{ $words }” of { $name }
then-pick = then: press what shall come back alone
only-the-chosen = Bring back the chosen ({ $count })
no-such-drawing = There is no such drawing.
drawings = Drawings
drawing-search = Find a drawing
drawing-none = No drawing is called that.
drawings-places = Places and ways
drawings-faces = Faces
drawings-signs = Signs
drw-sun = Sun
drw-moon = Moon
drw-planet = Planet
drw-cloud = Cloud
drw-drop = Drop of water
drw-flame = Flame
drw-leaf = Leaf
drw-flower = Flower
drw-tree = Tree
drw-fish = Fish
drw-bird = Bird
drw-beaker = Beaker
drw-test-tube = Test tube
drw-thermometer = Thermometer
drw-magnet = Magnet
drw-lamp = Lamp
drw-battery = Battery
drw-atom = Atom
drw-cube = Cube
drw-cuboid = Cuboid
drw-cylinder = Cylinder
drw-cone = Cone
drw-sphere = Sphere
drw-pyramid = Pyramid
drw-prism = Prism
drw-shared = Six equal parts
drw-scales = Scales
drw-dice = Dice
drw-coin = Coin
drw-spinner = Spinner
drw-house = House
drw-school = School
drw-hill = Mountain
drw-island = Island
drw-bridge = Bridge
drw-tent = Tent
drw-boat = Boat
drw-signpost = Signpost
drw-globe = Globe
drw-sundial = Sundial
drw-glad = Glad
drw-proud = Proud
drw-astonished = Astonished
drw-thinking = Thinking
drw-unsure = Unsure
drw-tired = Tired
drw-sad = Sad
drw-attention = Attention
drw-said = Said
drw-thought = Thought
drw-magnifier = Look closely
drw-pencil = Write
drw-book = Read
drw-listening = Listen
drw-together = Together
drw-flag = Flag
drw-key = Key
drw-bell = Bell
drw-hourglass = Time
drw-parcel = Present
printed-words = Printed words
printed-words-of-page = Printed words of this page
printed-hint = Mark words on the page, then copy them or set them on the board.
copy-refused = The browser did not let this be copied.
copy-picked = Copy what is marked
copy-all-words = Copy all words
set-picked = Set what is marked as text
set-all-words = Set all words as text
handed-in-enough = At most { $most } files can be handed in for one homework. Take one back first.
take-file-back = Take { $name } back
sending-file = Sending “{ $name }”, { $number } of { $count } …
file-not-taken = “{ $name }” was not taken: { $problem }
hand-in-file = Hand in a file or a photo
hand-in-hint = Pictures and PDFs. Only your tutor sees them.
mark-on-board = Mark it on the board
hand-in-page = Hand in this page as it is now, for
page-handed-in = Handed in. What is written later is not in it.
take-back-with = Take it back with { $count } files?
take-print = Print
take-print-hint = opens the PDF, to be printed from there
key-print = Print this page
call-place-is-taken = That place in the call is somebody else’s.
call-is-full = The call is full: { $most } people are in it. You can write in the chat.
reason-muted = Your microphone was turned off for now. Put your hand up to speak.
reason-unseen = Your picture is not shown for now.
reason-voices-pens = Only those with a pen speak just now. Put your hand up.
reason-voices-tutor-side = Only the tutor speaks just now. Put your hand up.
reason-faces-pens = Only those with a pen are seen just now.
reason-faces-tutor-side = Only the tutor is seen just now.
reason-no-lesson = There is no lesson on just now.
did-voices-all = { $by } let everybody speak.
did-voices-pens = { $by } let those with a pen speak.
did-voices-tutor-side = { $by } let the tutor side alone speak.
did-faces-all = { $by } let everybody be seen.
did-faces-pens = { $by } let those with a pen be seen.
did-faces-tutor-side = { $by } let the tutor side alone be seen.
did-caller-muted = { $by } muted { $name }.
did-caller-unseen = { $by } hid the picture of { $name }.
did-caller-called = { $by } called { $name } up.
did-caller-heard = { $by } let { $name } speak as the others.
call = Call
call-join = Join the call
call-join-with = Join the call ({ $count })
call-leave = Leave the call
call-settings = About the call
call-faces = Pictures of the call
call-you = You
call-speaking = speaking
call-muted = muted
call-hand-up = hand up
call-way-lost = looking for a way
call-back-to-board = Back to the board
call-move-picture = Move this picture with the arrows, plus and minus make it larger and smaller
call-hide-own = Hide my own picture from me
call-low-data = Few data: a small picture, seldom
call-who-speaks = Who speaks
call-who-is-seen = Who is seen
call-those-with-a-pen = Those with a pen
call-of = { $name } in the call
call-mute = Mute
call-hide = Hide picture
call-up = Call up
call-trouble-voice = has no microphone
call-trouble-silent = microphone gives no sound
call-trouble-face = has no camera
call-trouble-way = cannot reach somebody in the call
faces-where = Pictures
faces-column = Beside the board
faces-strip = In a strip
faces-big = Large
faces-nowhere = Sound only
device-microphone = Microphone
device-camera = Camera
device-speaker = Loudspeaker
device-usual = The browser’s choice
device-number = Device { $number }
device-made-up-voice = A made-up microphone (a soft tone)
device-made-up-face = A made-up camera (a drawn picture)
microphone-on = Microphone on
microphone-off = Microphone off
camera-on = Camera on
camera-off = Camera off
no-microphone = No microphone was found. Plug one in, or choose another one under About the call.
microphone-refused = The browser was not allowed to use the microphone. Allow it in the address bar, then press again.
microphone-busy = Another program uses the microphone. Close it there, then press again.
microphone-gone = The microphone was unplugged.
no-camera-there = No camera was found. Everybody sees your mark instead.
camera-was-refused = The browser was not allowed to use the camera. Allow it in the address bar, then press again.
camera-busy = Another program uses the camera. Close it there, then press again.
camera-gone = The camera was unplugged.
check-devices = Check camera, microphone and pen
check-try = Try my camera and microphone
check-try-hint = You can come in without either.
check-asking = asking …
check-say-something = Say something.
check-sound = Play three notes
check-line = Line
check-pen = Pen
check-scribble = Scribble here.
works = works
felt-pen = a pen with pressure
felt-pen-flat = a pen without pressure
felt-finger = a finger
felt-mouse = a mouse
line-check-good = good: { $ms } ms there and back
line-check-slow = slow: { $ms } ms there and back. Ink of others comes late; move nearer to the router, or use a cable.
line-check-loses = { $lost } of { $of } answers did not come. Move nearer to the router, or use a cable.
line-check-none = The server does not answer.
browser-has-no-call = This browser knows no calls. The board works all the same.
browser-needs-https = Camera and microphone need an address that begins with https.
come-in-with-voice = Come in with the microphone on
come-in-with-face = Come in with the camera on
key-speak = Speak while it is held
show-window = Show a window to all
show-camera = Show paper by another camera
show-made-up = There is no other camera: a made-up sheet is shown.
show-stop = Stop showing
show-still = Take a still onto the page
show-larger = Larger
show-smaller = Smaller
shown-by = { $name } shows
shown-by-you = You show this to all
call-own-window = In a window of its own
call-no-window = This browser shows no picture in a window of its own.
outside-call = A call elsewhere
outside-call-hint = When you hear each other in another program: its link stands on the porch.
outside-call-address = A call’s address begins with http:// or https:// and has no spaces.
outside-call-is-at = You hear each other in another program:
outside-call-open = open its call
invite-card = Copy a card for another call’s chat
invite-card-text = { $room }: open { $address } beside this call. A shared picture of the board cannot be written on; there it can.
typeset-unsure = Typeset, not sure
a-formula-has-at-most = A formula has at most { $signs } signs.
a-formula-is-empty = There is no formula yet.
a-formula-is-too-deep = The formula has too much inside of other things.
a-formula-has-too-many = The formula has too many lines or columns.
a-formula-has-an-odd = “{ $sign }” is no sign that is known in a formula.
a-formula-lacks-something = Something is missing: after a fraction stroke, a power or a root something stands.
a-bracket-is-not-closed = “{ $sign }” is opened and not closed.
a-formula-cannot-be-set = This formula cannot be set.
tool-formula = Formula
formula-new = A formula
formula-change = Change the formula
formula-typed = Formula, as on a keyboard or in LaTeX
formula-hint = x^2, (a+b)/2, sqrt(x), <=, alpha, sum_(k=1)^n; a new line stands below, at the equals sign.
formula-preview = How it will look
formula-put = Put on the board
formula-signs = Signs
formula-copy-latex = Copy as LaTeX
formula-copy-mathml = Copy as MathML
formula-copied = Copied.
heard-formula = Formula{ $number }: { $words }, by { $name }
signs-arithmetic = Arithmetic
signs-algebra = Algebra
signs-functions = Functions
signs-calculus = Calculus
signs-sets = Sets and logic
signs-geometry = Geometry
signs-vectors = Vectors
signs-statistics = Statistics
signs-units = Units
signs-chemistry = Chemistry
signs-greek = Greek
right-maths = Set formulas
right-maths-short = formulas
a-formula-is-too-long-to = This formula is too long to be worked out.
a-formula-has-no-meaning = This is set, but it is nothing that could be worked out.
a-formula-has-two-values = Where there is ±, two values are meant: work them out one by one.
nothing-is-divided-by-0 = Something is divided by 0 here.
a-value-is-too-large = A value in it is too large.
units-do-not-belong-there = Units stand where they cannot be reckoned with.
units-do-not-go-together = These units cannot be added: they measure different things.
a-unit-is-not-known = The unit “{ $unit }” is not known here.
it-takes-too-long = This takes too long to work out.
nothing-more-to-work-out = There is nothing more to work out.
that-cannot-be-worked-out = That cannot be worked out here.
that-is-true = That is true.
that-is-not-true = That is not true.
there-is-no-solution = There is no solution.
every-number-solves-it = Every number solves it.
a-line-has-no-meaning = This line is nothing that can be compared.
a-line-is-of-another-kind = One line is an expression, the other an equation.
a-line-may-begin-anew = It does not follow from the line before. It may begin anew: words stand before it, or a column begins with it.
the-sides-differ = On the left it is { $one }, on the right { $other }.
a-side-is-rounded = Rounded: it is { $value }.
the-values-differ = Above it is { $one }, here { $other }.
the-values-differ-at = For { $where } it is { $one } above and { $other } here.
solutions-are-lost = A solution is lost: { $lost }.
solutions-are-gained = A solution comes in that was none: { $gained }.
solutions-are-lost-and-gained = Lost: { $lost }. New, and no solution above: { $gained }.
the-sign-has-to-be-turned = Multiplied by something negative, the sign has to be turned.
a-point-solves-only-one = { $where } solves the line above and not this one.
working-has-two-lines = Working has 2 to { $lines } lines.
work-it-out = Work it out
working-it-out = Working it out…
check-the-working = Check the working
checking-the-lines = Comparing the lines…
set-the-marks = Set marks beside the lines
line-first = The beginning.
line-follows = Follows.
line-does-not = Does not follow.
line-cannot-tell = This cannot be told.
line-right = Right.
line-wrong = Not right.
offer-value = Value
offer-decimal = As a decimal
offer-simplified = Simplified
offer-expanded = Multiplied out
offer-factored = As a product
offer-solved = Solution
offer-steps = With the steps
offer-derived = Derivative
offer-integrated = Antiderivative
offer-quantity = Quantity
offer-said = Result
set-as-maths = Set as maths
other-formulas = Other readings as a formula
other-formulas-short = Or…
type-the-formula = Type it
formula-how = Press where the formula is to stand; press one to change it.
a-reaction-is-too-long = A reaction has at most 12 substances.
a-reaction-cannot-be-balanced = No whole numbers balance this reaction.
a-reaction-has-many-ways = This reaction can be balanced in more than one way.
a-reaction-is-balanced = Atoms and charge are balanced.
a-reaction-is-not-balanced = Not balanced as it stands: { $more }.
offer-balanced = Balanced
offer-mass = Molar mass
a-letter-has-no-value = The letter { $name } has no value yet.
a-formula-has-no-graph = This formula has no graph.
a-graph-has-at-most = A graph has at most { $lines } formulas.
graph-draw = Draw its graph
graph-panel = Graph…
graph-add = Add a formula
graph-show = Show { $formula }
graph-take-off = Take { $formula } off
graph-x-from = x from
graph-x-to = to
graph-y-from = y from
graph-y-to = to
graph-nearer = Nearer
graph-further = Further away
graph-other-formula = Change this formula
graph-no-number = “{ $typed }” is no number. 1.5, −2, 1/2, π/2 and 90° are.
graph-first-smaller = The first number has to be smaller than the last.
graph-slider = Slider for { $name }
graph-letter-from = { $name } from
graph-letter-to = { $name } to
graph-counted = Numbers along x
graph-numbers = plain
graph-pi = in π
graph-degrees = in degrees
heard-graph = Graph of { $words }, by { $name }
instruments = Drawing instruments
instrument-ruler = Ruler
instrument-protractor = Protractor
instrument-square = Set square
instrument-corners = Corners
instrument-compasses = Compasses
instrument-open = Opening
instrument-how = Drag it, turn it by a green grip, the wheel or ← →; ink begun at an edge runs along it.
scale = Scale
scale-paper = Centimetres of the paper
scale-what = One square of this page stands for
scale-each = How many
scale-unit = Of what
scale-units = units
scale-number = A number greater than 0, such as 5 or 0.5.
scale-set = Measure so
square-is = 1 square = { $each } { $unit }
a-unit-is-short = A unit is one line of at most { $most } characters.
chart = Chart
chart-panel = Chart…
chart-forms = Forms of charts
chart-bars = Bars
chart-stacked = Stacked bars
chart-lines = Lines
chart-scatter = Scatter
chart-pie = Pie
chart-histogram = Histogram
chart-box = Box plot
chart-stems = Stem and leaf
chart-by-rows = Series are rows
chart-fit = Line of best fit with its equation
chart-follows = It follows its table while cells change.
chart-alone = Its table is gone: it stays as it is.
a-chart-needs-numbers = There are no numbers in these cells yet.
a-pie-needs-shares = A pie shows up to 24 shares, none below 0.
a-charts-title-is-one = A chart’s title is one line of at most 120 characters.
heard-chart = A chart. { $words } By { $name }.
cells-work-out = A cell that begins with = is worked out: =A2*B2, =sum(B2:B5), =mean(B2:B5), =max(B2:B5).
measure = Measure
measure-nothing = Nothing
measure-distance = Distance
measure-angle = Angle
measure-distance-how = Press two places, or drag from one to the other; corners and ends are caught.
measure-angle-how = Press one arm, the corner, the other arm; corners and ends are caught.
measure-shown = It shows
measure-sides = Lengths
measure-angles = Angles
measure-area = Area
measure-around = The way around
construct = Construct
construct-midpoint = Midpoints
construct-perpendicular = Perpendicular bisectors
construct-parallel = Parallels
construct-bisector = Bisectors of the angles
a-bisector-needs-an-angle = A bisector needs an angle: a figure with corners, or two lines that meet.
only-straight-figures = This is constructed from lines and figures with straight sides.
graph-window = The window of the graph: drag it, arrow keys, wheel
graph-fit = Best fit
graph-fit-none = None
graph-fit-line = Line
graph-fit-parabola = Parabola
graph-fit-cubic = Cubic
place-zero = Zero
place-start = At x = 0
place-highest = Highest
place-lowest = Lowest
place-meets = Meets
place-mark = Mark it
place-none = No named places in this window.
place-trace = Run along the curve
place-slope = slope { $slope }
place-undefined = not defined here
place-tangent = Draw the tangent
place-from = Area from
place-to = to
place-area = = { $area }
that-is-no-curve-over-x = This is no curve over x: it has no named places here.
graph-from-table = Table into the graph
graph-also = Also:
drawings-physics = Circuits, lenses, forces
drw-cell = Cell
drw-cells = Battery of cells
drw-switch = Switch
drw-resistor = Resistor
drw-variable-resistor = Variable resistor
drw-lamp-sign = Lamp (sign)
drw-ammeter = Ammeter
drw-voltmeter = Voltmeter
drw-motor = Motor
drw-capacitor = Capacitor
drw-diode = Diode
drw-coil = Coil
drw-junction = Junction
drw-convex-lens = Convex lens
drw-concave-lens = Concave lens
drw-mirror = Mirror
drw-prism-of-glass = Glass prism
drw-ray = Ray of light
drw-candle = Candle
drw-vector-parts = Vector with its parts
drw-spring = Spring with a weight
element-H = Hydrogen
element-He = Helium
element-Li = Lithium
element-Be = Beryllium
element-B = Boron
element-C = Carbon
element-N = Nitrogen
element-O = Oxygen
element-F = Fluorine
element-Ne = Neon
element-Na = Sodium
element-Mg = Magnesium
element-Al = Aluminium
element-Si = Silicon
element-P = Phosphorus
element-S = Sulfur
element-Cl = Chlorine
element-Ar = Argon
element-K = Potassium
element-Ca = Calcium
element-Sc = Scandium
element-Ti = Titanium
element-V = Vanadium
element-Cr = Chromium
element-Mn = Manganese
element-Fe = Iron
element-Co = Cobalt
element-Ni = Nickel
element-Cu = Copper
element-Zn = Zinc
element-Ga = Gallium
element-Ge = Germanium
element-As = Arsenic
element-Se = Selenium
element-Br = Bromine
element-Kr = Krypton
element-Rb = Rubidium
element-Sr = Strontium
element-Y = Yttrium
element-Zr = Zirconium
element-Nb = Niobium
element-Mo = Molybdenum
element-Tc = Technetium
element-Ru = Ruthenium
element-Rh = Rhodium
element-Pd = Palladium
element-Ag = Silver
element-Cd = Cadmium
element-In = Indium
element-Sn = Tin
element-Sb = Antimony
element-Te = Tellurium
element-I = Iodine
element-Xe = Xenon
element-Cs = Caesium
element-Ba = Barium
element-La = Lanthanum
element-Ce = Cerium
element-Pr = Praseodymium
element-Nd = Neodymium
element-Pm = Promethium
element-Sm = Samarium
element-Eu = Europium
element-Gd = Gadolinium
element-Tb = Terbium
element-Dy = Dysprosium
element-Ho = Holmium
element-Er = Erbium
element-Tm = Thulium
element-Yb = Ytterbium
element-Lu = Lutetium
element-Hf = Hafnium
element-Ta = Tantalum
element-W = Tungsten
element-Re = Rhenium
element-Os = Osmium
element-Ir = Iridium
element-Pt = Platinum
element-Au = Gold
element-Hg = Mercury
element-Tl = Thallium
element-Pb = Lead
element-Bi = Bismuth
element-Po = Polonium
element-At = Astatine
element-Rn = Radon
element-Fr = Francium
element-Ra = Radium
element-Ac = Actinium
element-Th = Thorium
element-Pa = Protactinium
element-U = Uranium
element-Np = Neptunium
element-Pu = Plutonium
element-Am = Americium
element-Cm = Curium
element-Bk = Berkelium
element-Cf = Californium
element-Es = Einsteinium
element-Fm = Fermium
element-Md = Mendelevium
element-No = Nobelium
element-Lr = Lawrencium
element-Rf = Rutherfordium
element-Db = Dubnium
element-Sg = Seaborgium
element-Bh = Bohrium
element-Hs = Hassium
element-Mt = Meitnerium
element-Ds = Darmstadtium
element-Rg = Roentgenium
element-Cn = Copernicium
element-Nh = Nihonium
element-Fl = Flerovium
element-Mc = Moscovium
element-Lv = Livermorium
element-Ts = Tennessine
element-Og = Oganesson
periodic-table = Periodic table
element-search = Name, symbol or number
element-number = number { $number }
element-weight = { $weight } g/mol
element-put = Put it on the page
element-put-all = With number and mass
chance = Chance
chance-coin = Coin
chance-dice = Dice
chance-spinner = Spinner
chance-numbers = Numbers
chance-how-many = How many
chance-sides = Sides
chance-parts = Parts, with commas between
chance-parts-ready = sun, cloud, rain
chance-from = From
chance-to = To
chance-put = Put it on the page
chance-heads = heads
chance-tails = tails
chance-count = how often
chance-throw = Throw
chance-times = { $times } times
a-spinner-has-parts = A spinner has 2 to { $most } parts with different names.
so-many-dice = Up to { $most } dice with 4, 6, 8, 10, 12 or 20 sides are thrown at once.
so-many-outcomes = A table counts up to { $most } outcomes.
so-many-throws = Between 1 and { $most } throws at a time.
number-line-put = On a number line
that-is-no-inequality = A number line shows an inequality of one letter, such as -1 < x <= 2.
that-mathml-is-not-understood = That MathML is not understood.
rehearse = Rehearse
rehearse-what = Made-up students come in, write, put hands up and fall out of the net. Nothing of it stays unless you keep it.
rehearse-students = How many students
rehearse-start = Start a rehearsal
rehearsal-on = This is a rehearsal: the students are made up, and nothing of it stays.
rehearsal-keep = Keep it as a room
rehearsal-end = End the rehearsal
rehearsal-kept = Kept: it is a room of yours now, and the made-up students have gone.
a-rehearsal-has-students = A rehearsal has 1 to { $most } students, and is made of a room, not of another rehearsal.
that-is-no-rehearsal = That room is no rehearsal.
rehearsal-says-louder = Can you say that a little louder?
rehearsal-says-again = Could you show that again?
rehearsal-says-why = Why is that so?
rehearsal-says-done = I am done.
enough-rehearsals-are-on = Enough rehearsals are running on this server; one starts when another has ended.
signs-of-line = Signs of line { $line }
sign-of-formula = Sign { $number }
signs-hint = Is a sign another one? Choose it, and the rest is read again.
formula-in-the-text = Formula
formula-in-the-text-hint = Select what is typed as a formula, such as a^2/2, and it is set as one (Ctrl M)
a-text-has-too-many-formulas = A text has at most { $formulas } formulas in it.
spoken-fraction = { $above } over { $below }
spoken-long-fraction = the fraction { $above } over { $below } end of fraction
spoken-root = the square root of { $body }
spoken-long-root = the square root of { $body } end of root
spoken-root-of = root { $index } of { $body } end of root
spoken-squared = { $base } squared
spoken-cubed = { $base } cubed
spoken-power = { $base } to the power { $power }
spoken-long-power = { $base } to the power { $power } end of power
spoken-index = { $base } sub { $index }
spoken-prime = prime
spoken-from-to = { $sign } from { $low } to { $high } of
spoken-limit = { $sign } for { $low } of
spoken-brackets = open bracket { $body } close bracket
spoken-absolute = the absolute value of { $body } end of absolute value
spoken-capital = capital { $letter }
spoken-line = Line { $number }: { $words }.
spoken-row = row { $number }: { $words };
spoken-mark-vector = vector { $body }
spoken-mark-mean = { $body } bar
spoken-mark-hat = { $body } hat
spoken-mark-dot = { $body } dot
spoken-function-sin = sine
spoken-function-cos = cosine
spoken-function-tan = tangent
spoken-function-ln = natural logarithm
spoken-function-log = logarithm
spoken-function-lim = limit
spoken-sign-plus = plus
spoken-sign-minus = minus
spoken-sign-equals = equals
spoken-sign-less = is less than
spoken-sign-greater = is greater than
spoken-sign-at-most = is at most
spoken-sign-at-least = is at least
spoken-sign-unequal = is not equal to
spoken-sign-about = is about
spoken-sign-plus-minus = plus or minus
spoken-sign-times = times
spoken-sign-divided = divided by
spoken-sign-colon = colon
spoken-sign-in = in
spoken-sign-to = to
spoken-sign-implies = implies
spoken-sign-equivalent = if and only if
spoken-sign-both-ways = in balance with
spoken-sign-infinity = infinity
spoken-sign-integral = the integral
spoken-sign-sum = the sum
spoken-sign-product = the product
spoken-sign-degrees = degrees
spoken-sign-percent = percent
spoken-sign-factorial = factorial
spoken-sign-partial = partial d
spoken-sign-union = union
spoken-sign-intersection = intersection
spoken-sign-empty-set = the empty set
spoken-sign-angle = angle
spoken-sign-parallel = is parallel to
spoken-sign-perpendicular = is perpendicular to
spoken-sign-bar = bar
spoken-sign-comma = comma
spoken-sign-and-so-on = and so on
spoken-sign-for-all = for all
spoken-sign-there-is = there is
spoken-sign-similar = is similar to
spoken-sign-proportional = is proportional to
formula-number = Number
formula-number-next = Number it ({ $number })
a-formulas-number-is-one-line = A formula’s number is at most { $signs } signs in one line.
so-many-formulas-at-once = At most { $formulas } formulas are told at once.
did-record-voice = { $by } began to record their voice.
recording-elsewhere = Your voice is being recorded on another device already.
recording-not-readable = That is no recording that can be kept.
recordings-are-enough = A room keeps up to { $most } recordings: remove one first.
recording-has-ended = That recording has ended; nothing can be added to it.
recording-untold = A voice is recorded only while everybody in the room is told.
no-such-recording = That recording is not there any more, or not yours to hear.
record-voice = Record my voice
record-voice-hint = For playing the lesson again. Everybody sees it; only your microphone is recorded.
record-stop = Stop recording
record-pause = Pause
record-go-on = Go on recording
recorded-now = { $name } is recorded
recorded-you = Your voice is recorded
recorded-hint = { $name } is recording their own voice to play this lesson again. Nobody else’s voice is recorded.
recorded-short = Recording
recording-begun = { $name } is recording their voice now, to play the lesson again. Yours is not recorded.
recording-over = The recording of { $name } has ended.
recording-waits = { $seconds } s wait for the line
recording-lost = { $seconds } s of the recording could not be kept: { $why }
recording-cannot = This browser cannot record sound.
lesson-again = The lesson again
no-recordings = No voice has been recorded in this room yet. “Record my voice” stands under “Take away”.
which-recording = Recording
recording-of = { $when }, { $time }, { $name }
recording-elsewhere-then = On another board then: { $title }
recording-no-page = The page of that time is not there any more.
chapters = Pages in the recording
recording-unplayable = This browser cannot play that recording.
students-may-listen = Students may listen
take-recording = The voice as a file
take-chapters = Its chapters (WebVTT)
remove-recording = Remove the recording
recordings = Recorded voice
take-voice = With the recorded voice
lesson-again-hint = A recorded voice, and in step with it the pages as they came to be.
check-desks = Check the working on all desks
desks-checked = Working on the desks
desk-round = Desk round
desk-away = not here
desk-elsewhere = on another page
desk-nothing-yet = nothing yet
desk-begun = at the desk
go-to-desk-of = Go to the desk of { $name }
note-on-desk = A note on the desk of { $name }
note-on-desk-hint = What you want to say
note-put = Leave it there
show-desk-of = Show the desk of { $name } to all
show-to-all = Show to all
desk-shown = Everybody sees the desk of { $name }.
handed-out-page = Page handed out
note-on-your-desk = { $name } has left a note on your desk.
key-round = Look over all desks
hand-page-out =
    { $count ->
        [one] Hand this page out to one student
       *[other] Hand this page out to { $count }
    }
handed-out =
    { $count ->
        [one] One student has a desk with this page. The desk round shows it.
       *[other] { $count } students have a desk with this page. The desk round shows them all.
    }
piece-box = Piece box
piece-box-hint = Things kept off the page
piece-box-empty = Nothing is in the box yet. Choose things on a page, press Arrange, and then Keep in the piece box.
piece-keep = Keep in the piece box
piece-kept = “{ $title }” is in the piece box, under Bring in.
a-piece = A piece
a-piece-has-at-most = A piece has at most { $most } things.
on-all-desks =
    { $count ->
        [one] On the desk
       *[other] On all { $count } desks
    }
piece-put-on-desks =
    { $count ->
        [one] Put “{ $title }” on the desk
       *[other] Put “{ $title }” on all { $count } desks
    }
piece-on-desks =
    { $count ->
        [one] “{ $title }” lies on the desk.
       *[other] “{ $title }” lies on { $count } desks.
    }
remove-desks = Remove the desks
yes-remove-desks =
    { $count ->
        [one] Yes, remove one desk
       *[other] Yes, remove { $count } desks
    }
no-desks-here = Nobody has a desk on this board.
desks-looked-at =
    { $count ->
        [one] One desk
       *[other] { $count } desks
    }
desks-looking = Desk { $at } of { $count } …
desk-waits = not looked at yet
desk-without-working = no lines of working
desk-does-not =
    { $count ->
        [one] one line is not right
       *[other] { $count } lines are not right
    }
desk-cannot-tell = cannot tell for all lines
desk-follows = all { $count } lines are right
go-to-desk = Go there
check-again = Check again
mark-all-desks = Set the marks on all
captions = Captions
captions-see = Captions, when somebody writes them
captions-write = Write captions
captions-hide = Hide the captions; they come back in your menu
captions-stop = No more captions
caption-hint = What is being said
caption-show = Show it
recordings-not-all = Not all recordings are in this file: together they are larger than { $mb } MB. Take the older ones away one by one.
