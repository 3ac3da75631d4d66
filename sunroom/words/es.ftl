### What Sun Room says in Spanish. Keys and values as in en.ftl, which says what each is for.


## Everywhere

more = Más
close = Cerrar
done = Hecho
cancel = Cancelar
try-again = Intentar de nuevo
today-at = hoy { $time }

## Tools

tools = Herramientas
all-tools = Todas las herramientas
find-tool = Buscar una herramienta
no-such-tool = Ninguna herramienta se llama así.
choose-rack = Elegir qué hay a mano
ready-racks = Juegos preparados
rack-everything = Todo
rack-maths = Matemáticas
rack-language = Lengua
rack-science = Ciencias
tool-select = Elegir
tool-pen = Lápiz
tool-highlight = Resaltar
tool-eraser = Goma
tool-ruler = Geometría
tool-shape = Figura
tool-text = Texto
tool-note = Nota
tool-table = Tabla
tool-stamp = Sello
tool-bring = Traer
tool-bay = Zona
tool-pointer = Puntero
tool-move = Mover

## Pens

who-may-write = Quién puede escribir
pens-down = Lápices abajo
pens-down-hint = Solo escribe el lado del profesor
pens-passed = Dados
pens-passed-count = Dados · { $count }
pens-passed-hint = Escribe quien tiene un lápiz; da uno junto a un nombre
pens-up = Lápices arriba
pens-up-hint = Todos los alumnos escriben
lesson-paused = La clase está en pausa
go-on = Seguir
what-pens-may = Lo que pueden los lápices
pens-may = Pueden: { $what }
pens-may-short = Pueden…
pen-kit = Tipo de lápiz
kit-for-room = También en las próximas clases de esta sala
kit-full = lápiz completo
kit-full-hint = todo menos tocar lo de otros
kit-full-short = escribir, teclear, dibujar
kit-ink = solo tinta
kit-ink-hint = tinta, resaltador, goma en lo propio
kit-notes = solo notas
kit-notes-hint = notas con su nombre
kit-cards = solo tarjetas
kit-cards-hint = mover cosas, nada más
kit-cards-short = mover
kit-pointer = solo puntero
kit-pointer-hint = señalar, nada más
right-write = Escribir con tinta
right-note = Pegar notas
right-text = Teclear texto y tablas
right-shape = Dibujar figuras, poner sellos
right-bring-in = Traer imágenes
right-convert = Componer y pasar a limpio
right-change-others = Cambiar cosas de otros
right-erase-others = Borrar cosas de otros
right-add-page = Añadir y ordenar páginas
right-point = Señalar
right-chat-all = Decir algo a todos
right-chat-tutor = Decir algo al profesor
right-nothing = nada
right-write-short = escribir
right-note-short = notas
right-text-short = texto
right-shape-short = figuras
right-bring-in-short = imágenes
right-point-short = señalar

## What one's own pen may do

state-out = Estás fuera de la sala
state-down-may = Lápices abajo · puedes: { $what }
state-no-pen-may = Sin lápiz · puedes: { $what }
state-onlooker = Estás mirando
state-paused = La clase está en pausa
state-between = Ahora no hay clase
state-between-all = Ahora no hay clase · puedes escribir
state-between-may = Ahora no hay clase · puedes: { $what }
state-down = Lápices abajo · escribe { $writer }
state-no-pen = Ahora no tienes lápiz
state-bay-all = Puedes escribir en tu zona
state-bay = En tu zona puedes: { $what }
state-page-all = Puedes escribir en esta página
state-page = En esta página puedes: { $what }
state-up-all = Lápices arriba · puedes escribir
state-up = Lápices arriba · puedes: { $what }
state-pen-all = Tienes un lápiz
state-pen = Tienes un lápiz · { $what }

## Header

boards = Pizarras
more-boards = Más pizarras
this-board = Esta pizarra
new-board = Pizarra nueva
board-title = Título de la pizarra
rename = Cambiar el nombre
rename-board = Cambiar el nombre de esta pizarra
move-earlier = Antes
move-later = Después
copy-board = Copiar esta pizarra
delete-board = Guardar aparte esta pizarra
open-lesson = Abrir la clase
go-on-with-lesson = Seguir con la clase
take-room-back = Recuperar la sala
take-away = Llevar
take-pdf = PDF
take-pdf-hint = para imprimir y guardar
take-of = Llevarse
take-board = Toda la pizarra
take-page = Esta página
take-html = Página web
take-html-hint = un archivo que se abre en cualquier navegador sin red
take-png = Imagen (PNG)
take-png-hint = para documentos y mensajes
take-svg = Imagen vectorial (SVG)
take-svg-hint = nítida a cualquier tamaño, el texto sigue siendo texto
take-inkml = Tinta (InkML)
take-inkml-hint = trazos con presión y tiempo
take-csv = Llevársela (CSV)
take-hidden = Las páginas ocultas no están.
leave-out = Dejar fuera
part-paper = Color del papel
part-notes = Notas
part-names = Nombres en las notas
take-package = Archivo de pizarra
take-package-hint = todo, para abrirlo de nuevo aquí
kept = Guardado
kept-at = Guardado { $time }
keeping = Guardando
not-kept = Aún sin guardar
kept-out = Fuera
no-line = Sin conexión, vuelve
no-line-waiting = Sin conexión · { $count } en espera
clock = { $minutes } min
clock-of = { $minutes } de { $planned } min
clock-over = { $minutes } min de más
clock-ends = acaba en { $minutes } min
clock-paused = en pausa en { $minutes } min
clock-hint = { $time } desde que entró el primer alumno
task = Tarea
task-left = { $what }: { $time }
task-over = { $what }: se acabó el tiempo
wrap-up = Concluir
wrap-up-facts =
    { $minutes ->
        [one] Un minuto
       *[other] { $minutes } minutos
    }, { $students ->
        [0] ningún alumno aquí
        [one] un alumno aquí
       *[other] { $students } alumnos aquí
    }, { $pages ->
        [one] una página.
       *[other] { $pages } páginas.
    }
wrap-up-kept = Todo está guardado.
wrap-up-not-kept = Los últimos trazos aún no están guardados.
end-lesson = Acabar la clase
teach-on = Todavía no
after-view = Después los alumnos pueden mirar la pizarra. Puedes seguir con la clase durante media hora.
after-write = Después los alumnos pueden escribir en la pizarra. Puedes seguir con la clase durante media hora.
after-closed = Después la sala queda cerrada para los alumnos. Puedes seguir con la clase durante media hora.

## Own menu

your-menu = Tu menú
your-name = Tu nombre
your-new-name = Tu nombre nuevo
change = Cambiar
read-as-i-write = Leer mientras escribo
as-you-go-off = No
as-you-go-offer = Ofrecer
as-you-go-always = Tomar siempre
your-hand = Tu letra
your-hand-hint = Escribe una breve página de práctica y tu tinta se leerá mejor.
practice-page = Página de práctica
pen-elsewhere = Lápiz en otro aparato
pen-elsewhere-hint = Una tableta ocupa tu propio puesto: escribe allí, habla aquí. Deshacer es común.
pair-qr = Código QR de la dirección
pair-how = Escanea esto con la tableta, o abre allí { $address } y teclea este código. Vale diez minutos.
another-code = Otro código
pair-device = Enlazar un aparato
end-pairings = Deshacer los enlaces
pairings-ended = Ahora ningún otro aparato está enlazado a tu puesto.
interface = Esta ventana
language = Idioma
light = Luz
theme-day = Día
theme-evening = Tarde
theme-system = Como el aparato
letter-keys = Las letras sueltas toman herramientas
keys = Teclas
board-only = Solo la pizarra
sounds = Sonidos
sign-out = Salir de la cuenta
to-room-home = El inicio de la sala
people-count = Personas · { $count }

## Panels, the room’s home, accounts, the door

link = Enlace
copy = Copiar
copied = Copiado
one-moment = Un momento
this-part-of-sun-room = Esta parte de Sun Room no se pudo cargar. ¿Hay conexión con el servidor?
recent = Recientes
number = Número
none = Ninguno
six-digits-from-0-to = Seis signos de 0 a f, como 1f5fa8.
hard-to-see-on-this = Cuesta verlo en este papel.
that-is-more-text-than = Es más texto del que cabe en una pieza: toma menos.
words-of-the-cell = Palabras de la celda
words-in-the-figure = Palabras de la figura
words-of-the-note = Palabras de la nota
text-on-the-board = Texto en la pizarra
stamps = Sellos
throw-this-one-away = Tirar este
own-ones-select-things-arrange = Propios: elige cosas, Disponer, Hacer un sello.
figure = Figura
figures = Figuras
line = Línea
line-width = Línea { $width }
width = Ancho
dashes = Rayas
ends = Extremos
corners = Vértices
fill = Relleno
drag-on-the-board-shift = Arrastra en la pizarra. Mayús mantiene los lados iguales.
two-arrows = Dos flechas
arrow = Flecha
family-plain = Sencillo
dotted = Punteado
dashed = Rayado
solid = Continuo
add-a-row = Añadir una fila
add-a-column = Añadir una columna
first-row-as-a-head = Primera fila como cabecera
first-row-as-the-others = Primera fila como las demás
double-press-a-cell-to = Pulsa dos veces una celda para escribir en ella. Tab pasa a la siguiente. Los bordes se arrastran.
line-up = Alinear
spread-evenly = Repartir por igual
side-by-side = Uno al lado del otro
one-below-the-other = Uno bajo el otro
group = Agrupar
ungroup = Desagrupar
order = Orden
turn-and-flip = Girar y voltear
turn-left-90 = 90° a la izquierda
turn-right-90 = 90° a la derecha
flip-left-to-right = Voltear de izquierda a derecha
flip-upside-down = Poner boca abajo
keep-for-later = Guardar para luego
make-a-stamp = Hacer un sello
lock = Cierre
unlock = Abrir
lock-in-place = Fijar en su sitio
pin-as-background = Clavar como fondo
there-is-no-room-for = No hay sitio para otro sello. Tira uno antes.
own-stamp = Sello propio { $count }
to-the-back = Al fondo
one-back = Uno atrás
one-forward = Uno adelante
to-the-front = Al frente
lower-edges = Bordes inferiores
middles-one-below-the-other = Centros, uno bajo el otro
upper-edges = Bordes superiores
right-edges = Bordes derechos
middles-side-by-side = Centros, uno al lado del otro
left-edges = Bordes izquierdos
the-bay-before = La zona anterior
the-next-bay = La zona siguiente
title = Título
title-of-the-bay = Título de la zona
who-writes-in-this-bay = Quién escribe en esta zona
who-writes = Quién escribe
no-student-is-here-yet = Aún no hay ningún alumno.
saved = En el PDF
remove = Quitar
drag-out-a-bay-an = Traza una zona: un espacio con título y su propia regla sobre quién escribe en él.
not-saved = No en el PDF
also-on-its-own = También sola
with-the-page = Con la página
some-people = Algunos
rule-open = Abierta
tutor-side = Lado del profesor
as-the-page = Como la página
everything-on-the-page = Todo en la página
all-of-mine = Todo lo mío
all-of = Todo lo de { $name }
show-only = Mostrar solo lo de { $name }
show-everybodys-again = Mostrar de nuevo lo de todos
there-is-nothing-on-this = Aún no hay nada en esta página.
all-pictures = Todas las imágenes
all-tables = Todas las tablas
all-notes = Todas las notas
all-figures = Todas las figuras
all-typed-text = Todo el texto tecleado
all-ink = Toda la tinta
looking-it-up = Buscando.
nothing-is-known-of-it = No se sabe nada de ello.
text-settings = Ajustes del texto
family = Letra
smaller = Más pequeño
text-size = Tamaño del texto
larger = Más grande
bold = Negrita
italic = Cursiva
underline = Subrayado
strike-through = Tachado
subscript = Subíndice
superscript = Superíndice
lines-and-links = Líneas y enlaces
lines = Líneas
align = Alinear
list = Lista
a-link-begins-with-http = Un enlace empieza por http://, https:// o mailto: y no tiene espacios.
press-on-the-board-and = Pulsa en la pizarra y teclea.
numbers = Números
bullets = Puntos
no-list = Sin lista
align-right = Derecha
centre = Centro
align-left = Izquierda
family-even = Fija
family-hand = Mano
family-book = Libro
what-was-written-last = Lo último escrito
true-up-as = Pasar a limpio: { $figure }
add-as-a-branch = Añadir como rama
typeset-as = Componer «{ $text }»
leave-it-as-it-is = Dejarlo como está
leave-it = Dejarlo
opacity = Opacidad
size = Tamaño
wide = ancho
high = alto
colour = Color
how-sure-the-reading-is = Cuán segura es la lectura
typeset-these-words = Componer estas palabras
put-on-the-board = Poner en la pizarra
throw-away = Tirar
bringing-the-picture-in = Trayendo la imagen.
give-up = Renunciar
choose-a-picture = Elegir un archivo
or-drop-one-on-the = Imagen, PDF, texto, tabla o tinta; o suéltalo en la pizarra, o pega
picture-file = Archivo para traer
clear = Vaciar
yes-clear-it = Sí, vaciar
unpin-the-background = Soltar el fondo ({ $count })
who-writes-here = Quién escribe aquí
open-to-students = Abierta a los alumnos
tutor-side-only = Solo el lado del profesor
as-the-lesson = Como la clase
everybody-has-a-desk = Todos tienen pupitre
a-copy-of-this-page = Una copia de esta página para cada alumno que no la tenga; solo él y tú escribís en ella.
paper = Papel
lies = Puesto
on-its-side = Apaisado
upright = Vertical
ruling = Pauta
spacing = Separación
paper-colour = Color del papel
take-the-picture-off-the = Quitar la imagen del papel
picture-as-paper = Imagen como papel
cleared-undo-brings-it-back = Vaciado. Deshacer lo devuelve.
work-of = Trabajo de { $name }
everything-not-locked = Todo lo que no está fijado
all-students-work = Trabajo de todos los alumnos
my-work = Mi trabajo
find-words-on-all-boards = Buscar palabras en todas las pizarras
typed-words-and-ink-by = Palabras tecleadas, y tinta según se lee.
plan-of-the-next-lesson = Plan de la próxima clase
what-it-is-about = De qué trata
when = Cuándo
minutes-planned = Minutos
pages-it-needs-one-to = Páginas que necesita, una por línea
warm-up = Calentamiento
those-that-the-board-has = Las que la pizarra no tenga se añaden al abrirla para la clase.
keep-the-plan = Guardar el plan
at-the-last-lesson = En la última clase
here-so-far = Aquí hasta ahora
file-of-a-saved-board = Archivo de una pizarra
file-of-a-whole-room = Archivo de una sala entera
a-bright-board-for-a = Una pizarra clara para una clase en directo
write-with-a-pen-turn = Escribe con lápiz, convierte el garabato en letra limpia y figuras exactas, y di en cada momento quién más puede escribir.
what-is-the-lesson-about = ¿De qué trata la clase?
shadows-and-sundials = Sombras y relojes de sol
your-name-as-students-see = Tu nombre, como lo ven los alumnos
open-a-room-now = Abrir una sala
no-account-is-needed-this = No hace falta cuenta: este navegador guarda la llave de la sala. Los alumnos solo necesitan el enlace que les mandes.
your-rooms = Tus salas
bring-a-room-in-that = Traer una sala que se llevó
a-new-password = Una contraseña nueva
if-there-is-such-an = Si existe esa cuenta y tiene correo, un enlace va en camino. Vale tres días.
back-to-signing-in = Volver a entrar
user-name-or-mail-address = Nombre de usuario o correo
send-me-a-link = Mándame un enlace
sign-in = Entrar
make-an-account = Crear una cuenta
mail-address-for-a-forgotten = Correo, por si olvidas la contraseña
user-name = Nombre de usuario
password = Contraseña
make-the-account = Crear la cuenta
make-an-account-instead = Mejor crear una cuenta
i-have-an-account = Tengo una cuenta
i-have-forgotten-the-password = He olvidado la contraseña
send-this-to-students = Manda esto a los alumnos
they-type-a-name-no = Teclean un nombre; sin cuenta.
for-onlookers = Para quien mira
a-parent-or-a-screen = Un padre o una pantalla en un aula: ve la pizarra, nunca escribe.
for-a-projector = Para un proyector
the-board-alone-it-looks = La pizarra sola; mira adonde miras tú.
taught-in = Se enseña en
handwriting-is-read-with-the = La letra se lee con las palabras de este idioma.
write-it-once-and-your = Escríbela una vez y tu tinta se leerá mejor.
between-lessons = Entre clases
a-lesson-is-on-this = Hay una clase: esto cuenta cuando acabe.
whoever-comes-in-by-the = Quien entre por el enlace aparece aquí.
keep-this-room = Guardar esta sala
this-browser-has-the-only = Este navegador tiene la única llave. Con una cuenta la sala se abre desde cualquier parte.
this-browser-keeps-no-key = Este navegador no guarda la llave: si te olvida, nadie abre esta sala como profesor. Una cuenta la guarda.
keep-it-as = Guardarla como { $name }
keep-it-with-an-account = Guardarla con una cuenta
spanish = Español
german = Alemán
french = Francés
english = Inglés
closed = Cerrada
students-can-write = Los alumnos pueden escribir
students-can-look = Los alumnos pueden mirar
the-lesson-is-on = La clase está abierta
open-a-board-to-prepare = Abre una pizarra para prepararla, y la clase cuando estés listo.
students-who-open-the-link = Los alumnos que abren el enlace entran enseguida.
go-to-the-lesson = Ir a la clase
kept-all-the-time = guardadas siempre
bring-a-board-in = Traer una pizarra
a-board-that-was-saved = Una pizarra guardada como paquete, aquí o en otra sala
first-page-of = Primera página de { $title }
save-as-a-file-that = Guardar { $title } como archivo que cualquier sala puede traer, todo aún por cambiar
save-as-a-package = Guardar como paquete
opening-the-room = Abriendo la sala.
title-of-window = { $title } · Sun Room
the-whole-room = La sala entera
the-old-link-leads-nowhere = El enlace viejo deja de llevar a ninguna parte, y quien mira sale.
the-old-link-leads-nowhere-2 = El enlace viejo deja de llevar a ninguna parte. Quien está en la sala se queda; manda el nuevo a los demás.
change-the-link = Cambiar el enlace
new-link-for-students = Enlace nuevo para alumnos
new-link-for-onlookers = Enlace nuevo para quien mira
take-the-whole-room-along = Llevarse la sala entera
type-to-say-that-you = Teclea «{ $title }» para decir que va en serio
delete-the-room = Borrar la sala
keep-it = Conservar
and-all-that-was-ever = «{ $title }» y todo lo que hubo en ella se van para siempre. Si dudas, guárdala antes como paquete.
delete-it = Borrarla
delete-named = Borrar { $title }
delete = Borrar
your-account = Tu cuenta
details = Datos
mail-address = Correo
the-mail-address-is-only = El correo solo sirve para una contraseña nueva, cuando olvidas la vieja.
keep-these = Guardar
old-password = Contraseña vieja
new-password = Contraseña nueva
change-the-password = Cambiar la contraseña
signed-in-on = Con sesión en
this-browser = este navegador
sign-out-browser = Cerrar sesión en { $name }
sign-out-all-others = Cerrar todas las demás
delete-the-account = Borrar la cuenta
your-password = Tu contraseña
delete-everything-of-mine = Borrar todo lo mío
keep-the-account = Conservar la cuenta
opening-your-account = Abriendo tu cuenta.
that-browser-is-signed-out = Ese navegador ya no tiene sesión.
all-other-browsers-are-signed = Los demás navegadores ya no tienen sesión.
the-password-is-changed-all = La contraseña ha cambiado. Los demás navegadores ya no tienen sesión.
your-details-are-kept = Tus datos están guardados.
your-account-sun-room = Tu cuenta · Sun Room
the-password-is-changed-and = La contraseña ha cambiado, y ningún navegador tiene sesión.
sign-in-with-it = Entrar con ella
write-each-sign-in-its = Escribe cada signo en su casilla y cada línea en la suya, como escribes siempre; las líneas enseñan cómo unes las letras. Una vez basta, tres es mejor; cada casilla se guarda, así que para cuando quieras. Solo tu tinta se lee con ella.
letters-and-digits-written = Letras y cifras escritas
of-letters-and-digits = { $done } de { $count } letras y cifras
learned-from-corrected-readings = Aprendido de lecturas corregidas
take-it-along-inkml = Llevársela (InkML)
a-hand-that-was-taken = Una letra que se llevó (InkML), de otro navegador u otra sala
bring-one-in = Traer una
file-of-a-hand = Archivo de una letra
throw-it-away = Tirarla
yes-throw-it-all-away = Sí, tirarlo todo
not-written-yet = aún sin escribir
written-times = escrito { $count } veces
throw-away-the-last = Tirar el último «{ $character }»
a-lesson-with = Una clase con { $tutor }
come-in = Entrar
the-others-in-the-lesson = Los demás en la clase ven este nombre. No necesitas cuenta.
finding-the-room = Buscando la sala.
onlooker = Mirón
the-door-has-a-code = La puerta tiene un código
code = Código
that-is-not-the-code = Ese no es el código. Pídeselo a tu profesor.
not-just-now = Ahora no
has-not-let-you-in = { $tutor } no te ha dejado entrar. Puedes llamar otra vez en un momento.
knock-again = Llamar otra vez
you-have-knocked = Has llamado
sees-your-name-and-will = { $tutor } ve tu nombre y te dejará entrar. Quédate en esta página.
pair-this-device = Enlazar este aparato
sit-there = Sentarse ahí
pair = Enlazar
pair-a-device-sun-room = Enlazar un aparato · Sun Room
at-the-door = En la puerta
at-the-door-count = En la puerta · { $count }
let-all-in = Dejar entrar a todos
not-now-for = Ahora no, { $name }
not-now = Ahora no
let-in-name = Dejar entrar a { $name }
let-in = Dejar entrar
pass-a-pen-for = Dar un lápiz durante
until-taken-back = hasta que se recoja
pen-of-may = El lápiz de { $name } puede
as-everyones = como el de todos
follow = Seguir a { $name }
see-as-does = Ver como { $name }
new-name = Nombre nuevo
rename-name = Cambiar el nombre de { $name }
make-a-helper = Hacer ayudante a { $name }
make-a-student-again = Hacer alumno otra vez a { $name }
hand-the-room-over-to = Entregar la sala a { $name }
send-to-the-porch = Mandar a { $name } al vestíbulo
stays-out-of-this-room = { $name } queda fuera de esta sala hasta que empieces otra.
from-now-on-everybody-new = Desde ahora llama todo el que llega. Con la puerta abierta { $name } podría volver con otro nombre.
yes-send-away-name = Sí, echar a { $name }
send-away-name = Echar a { $name }
chat = Mensajes
nothing-has-been-said-yet = Aún no se ha dicho nada.
say-it-to = Decírselo a
to-everyone = A todos
to-the-tutor = Al profesor
to-name = A { $name }
say-something = Di algo

## People

people = Personas
class = Clase
here-now = Aquí · { $count }
hands-up =
    { $count ->
        [one] una mano levantada
       *[other] { $count } manos levantadas
    }
you-are = eres { $name }
fold = Plegar las personas
unfold = Mostrar las personas
find-name = Buscar un nombre
sort-by = En orden
sort-hand = De mano
sort-name = De nombre
sort-page = De página
sort-stroke = De último trazo
choose-some = Elegir algunos
done-choosing = Ya elegidos
choose-all = Todos
choose-none = Nadie
choose-person = Elegir a { $name }
for-chosen = Para los { $count } elegidos
pass-pens = Dar lápices
take-pens-back = Recoger
more-for-chosen = Más para los elegidos
lower-hands = Bajar sus manos
their-pens-may = Sus lápices pueden
say-to-them = Decir a cada uno
say = Decir
send-them-away = Echarlos
send-some-away-sure =
    { $count ->
        [one] Una persona queda
       *[other] { $count } personas quedan
    } fuera de esta sala hasta que empieces otra.
yes-send-them = Sí, echarlos
not-here = No están
gone-since = desde { $time }
take-off-list = Quitar a { $name } de la lista
nobody-else = Aún no hay nadie más. Los alumnos entran por el enlace: pulsa Invitar.
here-often = Estás aquí { $count } veces: en otras pestañas o aparatos. Todos escriben como { $name }.
unread =
    { $count ->
        [one] una línea sin leer
       *[other] { $count } líneas sin leer
    }
somebody = alguien
role-tutor = profesor
role-helper = ayudante
role-student = alumno
role-onlooker = mira
is-here = aquí
is-writing = escribe
has-a-pen = tiene un lápiz
pen-still = lápiz durante { $time }
hand-number =
    { $place ->
        [1] mano levantada, primero
       *[other] mano levantada, número { $place }
    }
on-board = en «{ $board }»
on-page = en la página { $number }
whom-you-follow = le sigues
line-slow = conexión lenta
line-poor = mala conexión
line-flooding = manda demasiado
lower-hand-of = Bajar la mano de { $name }
pass-pen-to = Dar un lápiz a { $name }
take-pen-from = Recoger el lápiz de { $name }
more-about = Más sobre { $name }
hand-up = Levantar la mano
hand-down = Bajar la mano
hand-place = número { $place } en la fila
your-hand-word = Levantarla con una palabra
hand-stuck = Estoy atascado
hand-answer = Tengo una respuesta
hand-done = He terminado
signs = Señales
show-a-sign = Hacer una señal
sign-yes = Sí
sign-no = No
sign-bravo = Muy bien
sign-wow = ¡Oh!
sign-slower = Más despacio
sign-lost = Me he perdido
sign-count = { $sign } · { $count }
signs-seen = Visto: quitar las señales
sound-came = Alguien entra
sound-went = Alguien se va
sound-hand = Se levanta una mano
sound-knock = Llaman a la puerta
sound-time = Se acabó el tiempo

## What a class does

look-here = Mirad aquí
together = Juntos
class-together = Juntos
keep-together = Ir juntos
let-go = Soltar
ask = Preguntar
time = Tiempo
pass-to-next = Dar un lápiz a la mano siguiente
lower-all = Bajar todas las manos
pause-lesson = Poner la clase en pausa
show-writers = Mostrar quién escribió qué
hide-writers = Ocultar quién escribió qué
clear-pointers = Quitar los punteros
time-for-task = Tiempo para una tarea
time-what-for = Para qué (si quieres)
minutes-of-task = Minutos
start-time = Empezar
stop = Parar
ask-everybody = Una pregunta a todos
the-question = La pregunta
answers-by-line = Respuestas, una por línea
ask-it = Hacerla
prepare = Guardar para luego
prepared = Preparadas
drop-question = Tirar esta pregunta
a-to-d = A a D
yes-or-no = Sí o no
answer-yes = sí
answer-no = no
question = Pregunta
what-do-you-say = ¿Qué dices?
answered = { $count } de { $students } han respondido
answers = Respuestas
show-answers = Mostrar a todos
hide-answers = Ocultar a los alumnos
who-said-what = Quién dijo qué
put-away = Guardar aparte
fold-question = Plegar la pregunta
unfold-question = Mostrar la pregunta
may-change-answer = Puedes cambiar tu respuesta mientras esté abierta.
the-door = La puerta
come-in-by = Se entra
door-open = Abierta
door-open-hint = Quien tiene el enlace entra enseguida.
door-knock = Llamando
door-knock-hint = Ves quién llama y le dejas entrar.
door-code = Con código
door-code-hint = Entra quien tiene el enlace y el código.
code-hint = seis o más letras o cifras
code-of-door = Código de la puerta
set-code = Poner el código
code-is = El código es { $code }.
invite = Invitar
invite-students = Los alumnos entran aquí
invite-qr = Código QR del enlace de los alumnos
invite-by-mail = Escribir un correo con él
invite-subject = Clase: { $room }
invite-mail = Ven a «{ $room }» por este enlace: { $address } Tecleas tu nombre, no hace falta nada más.
invite-open = Teclean un nombre; sin cuenta.
invite-knock = Teclean un nombre y llaman; tú les dejas entrar.
invite-code = Teclean un nombre y el código: { $code }

## Over the sill

sill = Repisa
read-it = Leído: quitarlo
fetching-board = Trayendo la pizarra.
you-may = Puedes: { $what }.
pen-for = Tienes un lápiz durante { $time }.
kept-together = { $name } os tiene juntos aquí. Puedes mirar más de cerca.
seeing-as = Ves la clase como { $name }, y aquí no puedes hacer nada.
back-to-own-view = Volver a mi vista
you-follow = Sigues a { $name }.
stop-following = Dejar de seguir
looking-as = Miras como { $name }. Vuelve a tu vista para hacer eso.
strokes-aside =
    { $count ->
        [one] Un trazo aún no está en la pizarra
       *[other] { $count } trazos aún no están en la pizarra
    }
things-aside =
    { $count ->
        [one] Una cosa aún no está en la pizarra
       *[other] { $count } cosas aún no están en la pizarra
    }
no-line-tell = Ahora no hay conexión con el servidor. Inténtalo cuando vuelva.
no-line-undo = Ahora no hay conexión con el servidor. Deshacer funcionará cuando vuelva.
no-line-words = Ahora no hay conexión con el servidor. Tus palabras siguen en el campo.
link-changed = La sala tiene ahora otro enlace. Tú te quedas; manda el nuevo a los demás.
undone-on = Deshecho en la página { $number }.
redone-on = Rehecho en la página { $number }.
page-was-taken = Esa página se quitó de la pizarra.
server-silent = El servidor no responde. No se perdió nada; inténtalo en un momento.
waiting-title = El servidor no responde
waiting-kept = Lo que has escrito se guarda en este navegador y llegará a la pizarra en cuanto el servidor vuelva.
waiting-again = Esta página lo intenta de nuevo cada pocos segundos.
waiting-now = Intentar ahora
server-could-not = El servidor no pudo hacerlo ({ $status }).

## Sill: tools and what is chosen

undo = Deshacer
redo = Rehacer
ink = Tinta
highlighter = Resaltador
highlighter-colour = Color del resaltador
colour-black = Negro
colour-blue = Azul
colour-red = Rojo
colour-green = Verde
colour-purple = Morado
colour-yellow = Amarillo
colour-mint = Menta
colour-rose = Rosa
colour-sky = Cielo
colour-peach = Melocotón
colour-lilac = Lila
colour-sand = Arena
nib-narrow = Estrecho
nib-medium = Medio
nib-wide = Ancho
nib-pencil = Lapicero
nib-pen = Pluma
nib-brush = Pincel
pens = Lápices
pen-name = { $kind }, ancho { $width }
change-pen = Cambiar este lápiz
pen-kind = Clase
pen-speed = Con ratón o dedo, la prisa adelgaza la línea
pen-how = Mayús traza recto.
steadiness = Firmeza
keep-level = Mantener a nivel
ends-none = Sencillo
ends-arrow = Flecha
ends-arrows = Dos flechas
dash-solid = Continuo
dash-dashed = Rayado
dash-dotted = Punteado
note-colour = Color de la nota
note-how = Pulsa en la pizarra y teclea. Lleva tu nombre.
table-how = Pulsa donde deba estar. Las filas pegadas de una hoja de cálculo también se hacen tabla.
select-by = Elegir con
select-box = Marco
select-lasso = Lazo
choose = Elegir
snap = Engancharse a bordes y líneas
shift-adds = Mayús añade.
eraser-takes = La goma toma
eraser-strokes = Trazos enteros
eraser-rubs = Lo que toca
eraser-how = Crece con la velocidad.
length = Longitud
point-with = Señalar con
point-light = Una luz que se apaga
point-arrow = Una flecha que se queda
take-mine-away = Quitar las mías
move-how = Arrastra el papel. Dos dedos o Ctrl y la rueda acercan.
chosen =
    { $what ->
        [ink] { $count ->
            [one] un trazo
           *[other] { $count } trazos
        }
        [text] { $count ->
            [one] un texto
           *[other] { $count } textos
        }
        [shape] { $count ->
            [one] una figura
           *[other] { $count } figuras
        }
        [formula] { $count ->
            [one] una fórmula
           *[other] { $count } fórmulas
        }
        [graph] { $count ->
            [one] una gráfica
           *[other] { $count } gráficas
        }
        [chart] { $count ->
            [one] un diagrama
           *[other] { $count } diagramas
        }
        [note] { $count ->
            [one] una nota
           *[other] { $count } notas
        }
        [table] { $count ->
            [one] una tabla
           *[other] { $count } tablas
        }
        [picture] { $count ->
            [one] una imagen
           *[other] { $count } imágenes
        }
        [card] { $count ->
            [one] una tarjeta
           *[other] { $count } tarjetas
        }
       *[thing] { $count ->
            [one] una cosa
           *[other] { $count } cosas
        }
    }
chosen-yours =
    { $what ->
        [ink] { $count ->
            [one] un trazo de los tuyos
           *[other] { $count } trazos de los tuyos
        }
        [text] { $count ->
            [one] un texto de los tuyos
           *[other] { $count } textos de los tuyos
        }
        [shape] { $count ->
            [one] una figura de los tuyos
           *[other] { $count } figuras de los tuyos
        }
        [formula] { $count ->
            [one] una fórmula tuya
           *[other] { $count } fórmulas tuyas
        }
        [graph] { $count ->
            [one] una gráfica tuya
           *[other] { $count } gráficas tuyas
        }
        [chart] { $count ->
            [one] un diagrama tuyo
           *[other] { $count } diagramas tuyos
        }
        [note] { $count ->
            [one] una nota de los tuyos
           *[other] { $count } notas de los tuyos
        }
        [table] { $count ->
            [one] una tabla de los tuyos
           *[other] { $count } tablas de los tuyos
        }
        [picture] { $count ->
            [one] una imagen de los tuyos
           *[other] { $count } imágenes de los tuyos
        }
        [card] { $count ->
            [one] una tarjeta de los tuyos
           *[other] { $count } tarjetas de los tuyos
        }
       *[thing] { $count ->
            [one] una cosa de los tuyos
           *[other] { $count } cosas de los tuyos
        }
    }
typeset = Componer
quoted = «{ $words }»
words = Palabras
other-readings = Otras lecturas
branch = Rama
branch-of = de «{ $words }»
mind-map = Mapa mental
word-count =
    { $count ->
        [one] una palabra
       *[other] { $count } palabras
    }
true-up = Pasar a limpio
true-up-all = Pasar todo a limpio
figure-count =
    { $count ->
        [one] una figura
       *[other] { $count } figuras
    }
text-count =
    { $count ->
        [one] un texto
       *[other] { $count } textos
    }
formula-count =
    { $count ->
        [one] una fórmula
       *[other] { $count } fórmulas
    }
each-as-it-is = Cada cosa como lo que es
made-even = regulares
no-figure-seen = no se ve figura
reading = Leyendo
ink-stays = la tinta queda como está
as-written = Como se escribió
as-written-hint = de vuelta a la tinta
edit-words = Cambiar las palabras
look = Aspecto
rows-and-columns = Filas y columnas
arrange = Disponer
who = Quién
who-made-this = Quién hizo esto
copied-to-paste = Copiado. Ctrl V lo pega.
duplicate = Duplicar
locked = Fijado
locked-hint = se queda en su sitio
select-nothing = No elegir nada

## Pages and the view

pages = Páginas
page-of = { $number } de { $count }
page-before = La página anterior
page-after = La página siguiente
all-pages = Todas las páginas
page-name = Página { $number } { $title }
pages-of-board =
    { $count ->
        [one] Una página
       *[other] { $count } páginas
    }
page-and-paper = Página y papel
add-page = Añadir una página
add-a-page = Añadir aquí una página
page-open = abierta
page-hidden = oculta
who-sees-it = Quién la ve
sees-everybody = Todos
to-a-board = A una pizarra
copy-there = Copiar allí
move-there = Mover allí
page-copied-to = La página se copió en «{ $board }».
page-moved-to = La página se movió a «{ $board }». Deshacer la trae de vuelta.
page-tutor = profesor
paper-same = Como esta
paper-same-hint = el mismo papel
paper-endless = Sin fin, cuadros
paper-endless-hint = crece en todas direcciones
paper-roll = Rollo, líneas
paper-roll-hint = crece hacia abajo
paper-a4-squares = Hoja A4, cuadros
paper-a4-plain = Hoja A4, lisa
paper-lying = apaisada
paper-standing = vertical
view = Vista
zoom = Tamaño
zoom-in = Acercar
zoom-out = Alejar
whole-page = Página entera
page-width = Ancho de la página
what-is-selected = Lo elegido
true-size = Tamaño real
half-page-down = Media página abajo
back-to-place = Volver adonde estaba
board-only-end = Mostrar todo

## Chat

said-to-you = a ti
said-to-tutor = al profesor
said-to = a { $name }

## Coming in

room-closed = La sala está cerrada
no-way-in = Por aquí no se entra
lets-you-in = Esta página te dejará entrar sola cuando abra.
sign-in-to-room = Entrar en la sala
knock = Llamar
out-of-room = Estás fuera de la sala

## Rooms and accounts

reading-ink-of =
    { $count ->
        [one] Leyendo la tinta de una página más…
       *[other] Leyendo la tinta de { $count } páginas más…
    }
found-on-page = { $title }, página { $number }
found-in-ink = { $title }, página { $number }, en tinta
nothing-typed-or-written-reads = Nada tecleado ni escrito se lee como «{ $words }».
people-have-seats =
    { $count ->
        [0] Aún no ha entrado nadie.
        [one] Una persona tiene puesto.
       *[other] { $count } personas tienen puesto.
    }
last-lesson-minutes = Última clase { $day }, { $minutes } minutos.
next-lesson = Próxima: { $lesson }
next-lesson-untitled = Próxima: una clase
planned-for = { $day }, { $time }
planned-for-minutes = { $day }, { $time }, { $minutes } minutos
board-facts =
    { $count ->
        [one] una página, { $when }
       *[other] { $count } páginas, { $when }
    }
another-room = + Sala
was-there =
    { $count ->
        [0] menos de un minuto
        [one] un minuto
       *[other] { $count } minutos
    }
record-of-this-lesson = Quién cambió qué en esta clase
record-of-last-lesson = Quién cambió qué en la última clase
with-the-room-go =
    Con la sala se van { $boards ->
        [one] su pizarra
       *[other] sus { $boards } pizarras
    }, { $people ->
        [one] el puesto de una persona
       *[other] los puestos de { $people } personas
    }, todas las imágenes, los mensajes y el registro. Nada de ello vuelve.
one-file-with-every-board = Un archivo con todas las pizarras, que se trae en el inicio de cualquier servidor. Se usan { $used } de { $most } MB en este servidor.
you-sign-in-as = Entras como { $name }.
last-used = usado { $when }
account-goes =
    { $rooms ->
        [0] No tienes ninguna sala.
        [one] Tu sala se va con ella: sus pizarras, imágenes, mensajes, registros y todos los puestos.
       *[other] Tus { $rooms } salas se van con ella: sus pizarras, imágenes, mensajes, registros y todos los puestos.
    } Tu letra también se va. Nada de ello vuelve; llévate antes tus salas.
this-device-will-sit = Este aparato ocupará el puesto de { $name } en «{ $room }».
this-browser-sat = Este navegador está ahí como { $name }, y ya no lo estará.
on-the-device-that-you = En el aparato con el que estás en clase, abre tu menú y pulsa «Enlazar un aparato». Muestra un código.
bringing-board-in = Trayendo la pizarra.
bringing-room-in = Trayendo la sala.

## Board

board-things-on-this-page =
    { $count ->
        [one] Pizarra, una cosa en esta página
       *[other] Pizarra, { $count } cosas en esta página
    }
editor-keys = { $what }. Escape, o Ctrl e Intro, lo pone en la pizarra.
word-of-line = Palabra { $word } de la línea { $line }
page-number = Página { $number }
desk-of = Pupitre de { $name }
minutes =
    { $count ->
        [one] 1 min
       *[other] { $count } min
    }
day-and-time = { $day }, { $time }

## Said by the server

a-password-has-at-most = Una contraseña tiene como mucho { $password } caracteres.
that-link-is-not-good = Ese enlace no vale, o ya no. Pide uno nuevo.
accounts-on-this-server-are = En este servidor las cuentas las crea quien lo lleva.
accounts-on-this-server-are-2 = En este servidor las cuentas son por invitación. Esta no lo es, está usada o es vieja.
there-is-no-room-at = No hay sala en esta dirección. Comprueba el enlace con tu profesor.
every-seat-in-this-room = Todos los puestos de esta sala están ocupados. Pregunta al profesor.
that-code-is-not-good = Ese código no vale, o ya no. Pide uno nuevo en el primer aparato.
that-name-and-password-do = Ese nombre y esa contraseña no van juntos.
this-key-does-not-open = Esta llave no abre la sala. Puede que ahora sea de una cuenta.
sign-in-first-then-keep = Entra antes, y luego guarda la sala con tu cuenta.
only-the-person-who-started = Solo quien empezó esta sala puede guardarla.
somebody-has-that-user-name = Alguien tiene ya ese nombre de usuario. Elige otro.
a-sample-is-of-one = Una muestra es de un carácter o de una línea de hasta { $characters }.
a-character-is-between-1 = Un signo tiene entre 1 y { $strokes } trazos.
a-stroke-of-a-character = El trazo de un signo no es tan largo.
a-line-is-between-1 = Una línea tiene entre 1 y { $strokes } trazos.
a-line-of-a-hand = Una línea de escritura no es tan larga.
no-sample-of-a-single = En este archivo no hay ninguna muestra de un carácter ni de una línea.
you-can-say-something-to = Puedes decir algo a todos o al profesor.
there-is-nothing-of-yours =
    { $how ->
        [redo] No queda nada tuyo por rehacer.
       *[undo] No queda nada tuyo por deshacer.
    }
step-failed = No se ha podido hacer, por un fallo de la sala. Lo que hiciste queda guardado.
the-page-changes-too-fast = La página cambia ahora demasiado deprisa. Inténtalo en un momento.
that-board-is-no-longer = Esa pizarra ya no está en esta sala.
a-steps-id-has-6 = La marca de un paso tiene de 6 a 32 caracteres.
you-are-no-longer-in = Ya no estás en la sala.
this-room-was-deleted-by = Esta sala la borró su profesor.
the-lesson-is-over-and = La clase ha acabado y la sala está cerrada hasta la próxima.
this-device-is-no-longer = Este aparato ya no está enlazado.
this-browser-was-signed-out = Este navegador ya no tiene sesión.
the-link-for-onlookers-was = El enlace para quien mira ha cambiado. Pide el nuevo.
the-tutor-has-asked-you = El profesor te pide que esperes en la puerta.
the-tutor-has-sent-you = El profesor te ha echado de esta sala.
only-a-student-who-is = Solo se puede dar un lápiz a un alumno que esté aquí.
sign-in-first = Entra antes.
that-is-not-the-password = Esa no es la contraseña de esta cuenta.
that-is-no-mail-address = Eso no es un correo.
come-into-the-room-first = Entra antes en la sala; después se podrá enlazar otro aparato.
pairings-are-ended-on-the = Los enlaces se deshacen en el primer aparato.
type-the-rooms-title-to = Teclea el título de la sala para decir que va en serio. No se borró nada.
a-room-keeps-at-least = Una sala conserva al menos una pizarra.
this-is-the-tutors-side = Este es el lado del profesor. Entra, o usa el enlace de los alumnos.
a-room-has-at-most = Una sala tiene como mucho { $boards } pizarras. Borra una que ya no haga falta.
this-board-is-not-open = Esta pizarra no está abierta para ti. Entra por el enlace de la sala.
many-files-are-being-made = Se están haciendo muchos archivos. Inténtalo en un momento.
only-the-rooms-tutor-can = Solo el profesor de la sala puede guardar sus pizarras como paquetes.
there-is-no-such-file = No existe ese tipo de archivo.
there-is-no-such-picture = No hay tal imagen en esta sala.
this-board-cannot-be-opened = Esta pizarra no se puede abrir ahora. No se ha perdido nada: quien lleva el servidor puede arreglarla.
that-is-too-large-a = Ese archivo es demasiado grande para este servidor. No cambió nada.
the-file-is-larger-than = El archivo pasa de { $mb } MB.
come-into-the-room-first-2 = Entra antes en la sala; luego puedes escribir tu página de práctica.
the-file-of-a-hand = El archivo de una letra no pasa de { $mb } MB.
this-cannot-be-read-the = Esto no se puede leer. La tinta queda como está.
that-is-more-than-strokes = Son más de { $strokes } trazos. Elige una parte.
there-is-no-ink-to = No hay tinta que leer.
this-ink-could-not-be = Esta tinta no se pudo leer ahora.
tabs-and-devices-of-yours = Ya hay aquí { $ofseat } pestañas y aparatos tuyos. Cierra algunos.
more-comes-from-here-than = De aquí viene más de lo que escribe una mano. Se te frena.
more-browsers-of-one-address = Hay más navegadores de una dirección de los que admite este servidor.
this-page-did-not-say = Esta página no dijo qué quiere. Recárgala.
that-message-is-larger-than = Ese mensaje es mayor que cualquiera de su clase.
this-page-is-older-than = Esta página es más vieja que el servidor. Recárgala.
come-in-by-the-rooms = Entra antes por el enlace de la sala.
onlookers-look-and-nothing-is = Quien mira, mira, y no se lee nada para él.
the-server-could-not-understand = El servidor no lo entendió: { $error }.
the-line-is-not-as = La línea no es como se esperaba: { $error }.
a-stroke-has-1-to = Un trazo tiene de 1 a { $samples } puntos de dos a cuatro números.
a-point-is-not-finite = Un punto no es finito o cae fuera de toda pizarra.
the-line-is-longer-than = La línea pasa de { $mb } MB.
a-pages-title-is-one = El título de una página es una línea de { $title } caracteres como mucho.
a-desk-belongs-to-one = Un pupitre es de una persona.
a-page-has-at-most = Una página tiene como mucho { $bays } zonas, cada una con su marca.
a-bays-title-is-one = El título de una zona es una línea de { $title } caracteres como mucho.
that-bay-is-for-too = Esa zona es para demasiados, o para alguien desconocido.
a-sheet-measures-between-200 = Una hoja mide entre 200 y 10 000 unidades de lado.
that-is-more-than-can = Es más de lo que se puede hacer de una vez. Toma una parte.
that-is-no-longer-on = Eso ya no está en la pizarra.
that-is-on-the-board = Eso ya está en la pizarra.
that-page-is-no-longer = Esa página ya no está en la pizarra.
a-board-has-at-most = Una pizarra tiene como mucho { $pages } páginas.
a-page-with-more-than = Una página con más de { $copied } cosas está demasiado llena para copiarla.
a-line-has-two-handles = Una línea no tiene más de dos tiradores.
a-board-keeps-at-least = Una pizarra conserva al menos una página que todos ven.
a-new-page-starts-empty = Una página nueva empieza vacía.
nobody-has-such-a-seat = Nadie tiene ese puesto.
a-sketch-has-at-most = Un esbozo tiene como mucho { $figures } figuras, cada una con su marca.
a-mind-map-has-at = Un mapa mental tiene como mucho { $mapparts } palabras y líneas, cada una con su marca.
an-erasers-path-has-between = El camino de una goma tiene entre 1 y { $rubpoints } puntos.
there-was-no-ink-under = No había tinta bajo la goma.
a-step-adds-between-1 = Un paso añade entre 1 y { $stepitems } cosas.
two-items-of-the-step = Dos cosas del paso tienen la misma marca.
the-figure-is-too-small = La figura es demasiado pequeña para verse.
the-page-is-full-add = La página está llena. Añade una página para seguir.
a-table-has-1-to = Una tabla tiene de 1 a { $tableside } filas y columnas.
the-tables-cells-do-not = Las celdas de la tabla no llenan sus filas.
the-figure-has-too-few = La figura tiene pocos o demasiados puntos.
a-colour-is-written-as = Un color se escribe con # y seis signos de 0 a f.
that-would-make-the-item = Así la cosa sería demasiado pequeña para encontrarla.
an-id-has-6-to = Una marca tiene de 6 a 32 letras, cifras, guiones o guiones bajos.
a-number-is-missing-not = Falta un número, no es finito o cae fuera de toda pizarra.
there-is-no-text-to = No hay texto que poner en la pizarra.
the-text-has-characters-are = El texto tiene { $count } caracteres; { $longest } es lo máximo.
the-text-has-characters-that = El texto tiene caracteres que no se pueden mostrar.
the-lies-between-and = { $value } está entre { $low } y { $high }.
the-item-was-made-from = La cosa se hizo con más tinta de la que se puede guardar con ella.
the-text-changes-its-style = El texto cambia de estilo más de { $spans } veces.
the-styles-of-the-text = Los estilos del texto no casan con sus caracteres.
the-strokes-bytes-do-not = Los bytes del trazo no dan muestras enteras.
the-stroke-has-samples-are = El trazo tiene { $count } muestras; { $samples } es lo máximo.
the-stroke-has-a-point = El trazo tiene un punto que no está en ninguna pizarra.
that-rubs-over-too-much = Eso borra demasiado de una vez. Borra una parte menor.
the-picture-is-larger-than = La imagen pasa de { $mb } MB.
this-is-no-picture-that = No es una imagen que se pueda mostrar: PNG, JPEG, WebP o GIF.
the-picture-is-damaged-and = La imagen está dañada y no se puede leer.
the-picture-has-more-than = La imagen tiene más de 50 millones de puntos.
the-boards-title-is-missing = Falta el título de la pizarra o pasa de { $title } caracteres.
a-board-has-between-1 = Una pizarra tiene entre 1 y { $pages } páginas.
two-pages-of-the-board = Dos páginas de la pizarra tienen la misma marca.
this-file-has-no-board = No hay pizarra en este archivo.
a-page-of-the-board = Una página de la pizarra tiene más de { $items } cosas.
two-items-of-a-page = Dos cosas de una página tienen la misma marca.
a-picture-of-the-board = Falta en el paquete una imagen de la pizarra.
this-is-no-package-of = No es el paquete de una pizarra, o está dañado.
this-file-has-no-board-2 = No hay pizarra de Sun Room en este archivo.
the-package-was-saved-by = El paquete es de un Sun Room posterior a este.
the-board-in-the-package = La pizarra del paquete no se puede leer: { $error }.
there-is-more-in-the = Hay en el paquete más de lo que tiene una pizarra.
the-package-is-compressed-in = El paquete está comprimido de un modo que aquí no se lee.
the-file-is-xml-but = El archivo es XML pero no InkML: su raíz no es <ink>.
the-trace-format-has-no = El formato de trazas no tiene X o no tiene Y.
the-trace-format-has-more = El formato de trazas tiene más de { $channels } canales.
the-file-has-traces-are = El archivo tiene { $count } trazas; { $traces } es lo máximo.
a-trace-has-between-1 = Una traza tiene entre 1 y { $samples } puntos.
the-file-is-not-readable = El archivo no se lee como InkML: { $error }.
a-trace-has-a-point = Una traza tiene un punto que no lo es: { $point }.
a-trace-has-a-point-2 = Una traza tiene un punto que no es de números: { $point }.
a-trace-has-a-number = Una traza tiene un número que no es finito.
the-file-was-saved-by = El archivo es de un Sun Room posterior a este.
this-is-no-file-of = No es el archivo de una sala, o está dañado.
the-room-in-the-file = La sala del archivo no se puede leer: { $error }.
this-file-has-no-room = No hay sala en este archivo.
a-room-has-between-1 = Una sala tiene entre 1 y { $boards } pizarras.
there-is-nothing-to-say = Aún no hay nada que decir.
that-is-characters-are-the = Son { $count } caracteres; { $said } es lo máximo de una vez.
a-code-has-to-letters = Un código tiene de { $codelength } a { $codelength2 } letras o cifras.
a-lesson-is-up-to = Una clase dura hasta { $lessonminutes } minutos.
that-is-no-day-of = Ese día no está en ningún calendario.
a-plan-has-up-to = Un plan tiene hasta { $plannedpages } páginas con títulos cortos.
a-countdown-runs-for-up = Una cuenta atrás dura hasta cuatro horas.
a-question-has-to-different = Una pregunta tiene de { $options } a { $options2 } respuestas distintas.
the-question-has-no-id = La pregunta no tiene marca.
that-question-has-been-put = Esa pregunta se guardó aparte.
that-is-none-of-the = Esa no es ninguna de las respuestas.
that-is-longer-than-characters = Pasa de { $words } caracteres, o tiene alguno que no se ve.
a-pen-is-passed-for = Un lápiz se da por { $penminutes } minutos como mucho.
the-step-names-no-item = El paso no nombra ninguna cosa, o demasiadas.
that-was-tried-too-often = Se intentó demasiadas veces. Espera un minuto e inténtalo de nuevo.
the-request-could-not-be = La petición no se entendió: { $error }.

## Why somebody may or may not: the rule book’s reasons

reason-allowed = Puedes escribir.
reason-passed = Tienes un lápiz.
reason-up = Lápices arriba: todos pueden escribir.
reason-grace = Acabado a tiempo.
reason-onlooker = Estás mirando. Quien mira ve la pizarra y no escribe.
reason-locked = Eso lo ha fijado el profesor.
reason-pens-down = Lápices abajo. Escribe { $writer }. Levanta la mano para pedir un lápiz.
reason-no-pen = Ahora algunos tienen un lápiz. Levanta la mano para pedir uno.
reason-withheld = Lápices arriba, pero el tuyo está guardado por ahora. Levanta la mano para pedirlo.
reason-expired = El tiempo de tu lápiz ha acabado. Levanta la mano para pedir más.
reason-paused = La clase está en pausa. Todos pueden mirar; nadie escribe.
hidden-page-cannot-be-led = Esta página está oculta para los alumnos. Muéstresela primero y luego tráigalos aquí.
reason-page-hidden = Esta página solo la ve el profesor por ahora.
reason-page-tutor-side = Solo el profesor escribe en esta página.
reason-page-of-another = Esa página la hizo otra persona, que cuida de su título y su papel.
reason-page-open = Esta página está abierta: todos pueden escribir en ella.
reason-desk-yours = Este es tu pupitre: aquí escribís tú y el profesor.
reason-desk-of-another = Este pupitre es de otra persona.
reason-bay-tutor-side = Solo el profesor escribe en esta zona.
reason-bay-open = Esta zona está abierta: todos pueden escribir en ella.
reason-bay-yours = Esta zona es tuya para escribir.
reason-bay-of-others = Esta zona es para que escriba otra persona.
reason-not-in-kit = Tu lápiz no es para eso ahora.
reason-no-chat = El profesor lo ha apagado por ahora.
reason-not-yours = Eso lo hizo otra persona, y tu lápiz es para tu trabajo.
reason-tutor-side-only = Eso es para el profesor.
reason-tutor-only = Solo el profesor puede hacerlo.
reason-between-view = Ahora no hay clase. Hasta la próxima se puede mirar la pizarra.
reason-between-closed = La sala está cerrada hasta la próxima clase.
person-not-here = Esa persona no está aquí.
person-yourself = Eso no se lo puede hacer uno mismo.
person-owner = Esta sala es de esa persona: la lleve quien la lleve, se queda y puede recuperarla.
person-tutor = Esa persona lleva la sala. Entrégala antes.
person-onlooker = Quien mira tiene su propia puerta.
person-not-a-helper = Haz antes ayudante a esa persona, y luego entrega la sala.
name-missing =
    { $what ->
        [title] Teclea antes un título.
        [code] Teclea antes un código.
       *[name] Teclea antes un nombre.
    }
name-too-long =
    { $what ->
        [title] Ese título tiene { $count } caracteres; { $most } es lo máximo.
        [code] Ese código tiene { $count } caracteres; { $most } es lo máximo.
       *[name] Ese nombre tiene { $count } caracteres; { $most } es lo máximo.
    }
name-unseen =
    { $what ->
        [title] Ese título tiene un carácter que no se ve. Tecléalo de nuevo.
        [code] Ese código tiene un carácter que no se ve. Tecléalo de nuevo.
       *[name] Ese nombre tiene un carácter que no se ve. Tecléalo de nuevo.
    }
room-is-full = Esta sala ha usado todo su espacio en el servidor ({ $mb } MB). No se ha perdido nada. Borra pizarras en el inicio de la sala, o pide más a quien lleva el servidor.
not-kept-just-now = La pizarra no se puede guardar ahora. Se sigue escribiendo; se intenta de nuevo.
nothing-kept-for = No se pudo guardar nada desde hace { $minutes } min. Lo que aún no tiene la marca del servidor queda en este navegador; di a quien lleva el servidor que su disco no admite nada.
door-closed = Ahora no hay clase, y la sala está cerrada hasta la próxima.
door-knocked-at = A la puerta de esta sala se llama. Entra por el enlace de la sala.
door-asks-code = La puerta de esta sala pide un código. Entra por el enlace de la sala.
password-too-short = Una contraseña tiene al menos { $least } caracteres.
password-too-common = Esa contraseña es demasiado corriente.
password-entirely-numeric = Una contraseña no es solo de cifras.
password-too-similar = Esa contraseña se parece demasiado a tu nombre o correo.
password-not-good = Esa contraseña no es bastante buena.
user-name-not-good = Ese nombre de usuario no sirve. Usa letras y cifras, sin espacios.

## What was done in a lesson

did-pens-down = { $by } puso los lápices abajo.
did-pens-passed = { $by } deja escribir a quien tiene un lápiz.
did-pens-up = { $by } puso los lápices arriba.
did-pass-pen = { $by } dio un lápiz a { $name }.
did-pass-pen-for =
    { $minutes ->
        [one] { $by } dio un lápiz a { $name } por un minuto.
       *[other] { $by } dio un lápiz a { $name } por { $minutes } minutos.
    }
did-take-pen = { $by } recogió el lápiz de { $name }.
did-pass-to-next = { $by } pasó el lápiz a la mano siguiente.
all-may-point = Los alumnos pueden señalar sin lápiz
did-let-point = { $by } dejó señalar a todos.
did-stop-pointing = { $by } ya no dejó señalar sin lápiz.
did-set-rights = { $by } cambió lo que pueden los lápices.
did-set-rights-of = { $by } cambió lo que puede el lápiz de { $name }.
did-make-helper = { $by } hizo ayudante a { $name }.
did-make-student = { $by } hizo alumno a { $name }.
did-send-away = { $by } echó a { $name }.
did-admit = { $by } dejó entrar a { $name }.
did-admit-all = { $by } dejó entrar a todos.
did-turn-away = { $by } no dejó entrar a { $name }.
did-to-porch = { $by } mandó a { $name } al vestíbulo.
did-rename = { $by } llamó a { $name } «{ $new }».
did-hand-over = { $by } entregó la sala a { $name }.
did-take-room-back = { $by } recuperó la sala.
did-door-open = { $by } abrió la puerta a quien tiene el enlace.
did-door-knock = { $by } hace llamar a la puerta.
did-door-code = { $by } hace pedir un código en la puerta.
did-pause = { $by } puso la clase en pausa.
did-go-on = { $by } siguió con la clase.
did-between-view = { $by } deja mirar a los alumnos entre clases.
did-between-write = { $by } deja escribir a los alumnos entre clases.
did-between-closed = { $by } cierra la sala entre clases.
did-open = { $by } abrió la clase.
did-open-again = { $by } continuó la clase.
did-end = { $by } acabó la clase.
did-ask = { $by } preguntó «{ $question }»: { $counts }.

## What was done to a thing

trace =
    { $what ->
        [made] hecho por { $name }
        [made_with_page] hecho con su página por { $name }
        [changed] cambiado por { $name }
        [moved] movido por { $name }
        [removed] quitado por { $name }
       *[replaced] convertido por { $name }
    }
trace-undo =
    { $what ->
        [made] devuelto por { $name }
        [made_with_page] devuelto con su página por { $name }
        [changed] cambio deshecho por { $name }
        [moved] vuelto a su sitio por { $name }
        [removed] quitado otra vez por { $name }
       *[replaced] cambio deshecho por { $name }
    }
trace-redo =
    { $what ->
        [made] hecho de nuevo por { $name }
        [made_with_page] hecho de nuevo con su página por { $name }
        [changed] cambiado de nuevo por { $name }
        [moved] movido de nuevo por { $name }
        [removed] quitado de nuevo por { $name }
       *[replaced] convertido de nuevo por { $name }
    }
not-kept-now = El servidor no puede guardar nada ahora. Lo que escribiste queda en esta pantalla: inténtalo más tarde, y díselo a quien lleva el servidor.
person-not-listed = Esa persona está aquí, o ya no está en la lista.
did-clear = { $by } vació { $count } cosas.

## Keys

key-pens = Los lápices preparados
key-pens-up = Lápices arriba
key-pens-down = Lápices abajo
key-look-here = Mirad aquí
key-pass-next = Dar un lápiz a la mano siguiente
key-undo = Deshacer tu último paso
key-redo = Rehacerlo
key-remove = Quitar lo elegido
key-arrows = Mover lo elegido, o el papel
key-all = Elegir todo en la página
key-next = Elegir la cosa anterior, la siguiente
key-copy = Copiar, cortar, pegar, también entre pizarras
key-duplicate = Duplicar; otra vez repite la distancia
key-group = Agrupar; con Mayús desagrupar
key-order = Uno adelante, uno atrás
key-turn = Girar lo elegido 1°, con Mayús 15°
key-crosshair = Con una herramienta que coloca algo: elegir el lugar y ponerlo ahí
crosshair-at =
    { $things ->
    [0] Lugar { $across }, { $down }
   *[other] Lugar { $across }, { $down }, sobre algo
}
key-enter = Convertir la tinta elegida en lo que se ofrece primero; cambiar las palabras elegidas
key-shift = Al dibujar: recto, de 15° en 15°; lados iguales
key-escape = Renunciar, o no elegir nada
key-pages = Pasar páginas
key-half-page = Media página abajo
key-bays = La zona siguiente, la anterior
key-zoom = Acercar y alejar
key-whole-page = Mostrar la página entera
key-space = Pulsada al arrastrar: mover el papel
key-keys = Estas teclas
put-away-named = Guardar aparte { $title }
boards-put-away =
    { $count ->
        [one] Una pizarra está guardada aparte
       *[other] { $count } pizarras están guardadas aparte
    }
bring-back = Devolver

## Figures

figure-line = Línea
figure-elbow = Codo
figure-curve = Curva
figure-rectangle = Rectángulo
figure-square = Cuadrado
figure-rounded = Redondeado
figure-ellipse = Elipse
figure-circle = Círculo
figure-arc = Arco
figure-triangle = Triángulo
figure-right-triangle = Triángulo rectángulo
figure-parallelogram = Paralelogramo
figure-rhombus = Rombo
figure-trapezium = Trapecio
figure-pentagon = Pentágono
figure-hexagon = Hexágono
figure-polygon = Polígono
figure-star = Estrella
figure-heart = Corazón
figure-brace = Llave
figure-axis = Eje
figure-axes = Dos ejes
figure-number-line = Recta numérica
figure-tick = Visto
figure-cross = Cruz
figure-polyline = Línea quebrada
found-arrow = Flecha
found-double-arrow = Flecha doble
found-same-size = { $figure }, del tamaño de su vecina
found-triangle =
    { $form ->
        [right] Triángulo rectángulo
        [isosceles] Triángulo isósceles
        [equilateral] Triángulo equilátero
       *[other] Triángulo
    }
paper-kind-endless = Sin fin
paper-kind-roll = Rollo
paper-kind-sheet = Hoja
ruling-plain = Lisa
ruling-squares = Cuadros
ruling-dots = Puntos
ruling-lines = Líneas
ruling-handwriting = Caligrafía
ruling-graph = Milimetrado
ruling-isometric = Isométrica
ruling-polar = Polar
paper-white = Blanco
paper-cream = Crema
paper-mint = Menta
paper-sky = Cielo
paper-rose = Rosa
paper-slate = Pizarra

## Bays

bay-tutor-only = solo el profesor
bay-open-to-all = abierta a todos
bay-nobody-yet = nadie aún
not-yours-to-move = Eso no te toca moverlo.
too-much-to-copy = Es más de lo que se copia de una vez. Cópialo por partes.
asks-to-look = { $name }: mirad aquí.
hand-lines = Líneas, como escribes palabras
keep-this-line = Guardar esta línea
write-it-again = Escribirla otra vez
hand-small = Minúsculas
hand-capitals = Mayúsculas
hand-digits = Cifras
hand-accents = Acentos
hand-signs = Signos
your-desk = Esta es una copia de la página solo para ti: tu pupitre.
cannot-bring = «{ $name }» no se puede poner en la pizarra: sí imágenes, PDF, texto, Markdown, CSV e InkML.
too-many-pictures = Solo se tomaron las { $count } primeras imágenes.
body-too-large = Es demasiado grande: { $size } es lo máximo que se manda aquí.
table-row = Fila
table-column = Columna
before-it = Nueva antes
after-it = Nueva después
take-it-off = Quitarla
take-the-row-off = Quitar la fila
take-the-column-off = Quitar la columna
draw-several = Una tras otra
swatch = { $hue } { $shade } ({ $colour })
hue-grey = Gris
hue-red = Rojo
hue-yellow = Amarillo
hue-green = Verde
hue-teal = Verde azulado
hue-blue = Azul
hue-purple = Morado
hue-pink = Rosa fuerte
reason-outside-bay = Puedes escribir en tu zona, no al lado.
did-let-back = { $by } deja volver a { $name }.
let-back-in = Dejar volver a { $name }
was-sent-away = fuera

## The board for those who listen to it

page-in-words = La página en palabras
was-added =
    { $count ->
        [one] { $names } añadió una cosa.
       *[other] { $count } cosas añadidas por { $names }.
    }
heard-ink =
    { $count ->
        [one] Un trazo de tinta de { $name }
       *[other] { $count } trazos de tinta de { $name }
    }
heard-writing = Escrito por { $name }: { $words }
ink-as-words = Decir la tinta por lo que se lee en la página en palabras
heard-text = Texto de { $name }: { $words }
heard-note = Nota de { $name }: { $words }
heard-table = Tabla de { $rows } filas y { $columns } columnas de { $name }: { $words }
heard-figure = { $figure } de { $name }: { $words }
heard-card =
    { $what ->
        [sound] Tarjeta para un sonido
        [video] Tarjeta para un vídeo
       *[other] Tarjeta para un enlace
    } de { $name }: { $words }
heard-picture = Imagen de { $name }: { $words }
picture-text-hint = Con palabras, para quien no ve la imagen. La búsqueda también la encuentra.
named-now = { $label }, { $now }

recovery-mail-subject = Una contraseña nueva para Sun Room
recovery-mail =
    Alguien, seguramente tú, pidió una contraseña nueva para la cuenta { $name }.

    Elige una aquí, en tres días:
    { $link }

    Si no fuiste tú, no hagas nada: la contraseña de antes sigue valiendo.
board-number = Pizarra { $number }
package-about =
    Una pizarra guardada por Sun Room. Tráela desde el inicio de una sala para seguir escribiendo en ella.

    board.json tiene sus páginas y lo que hay en ellas; «samples» de la tinta es base64: para N puntos, N pares de float32 (x, y), N bytes de presión (0–255), N uint16 de milisegundos, little-endian. «ink» es la tinta de la que salió una cosa. Las imágenes están en la carpeta pictures.
this-is-no-pdf-that = Este no es un PDF que se pueda leer aquí.
the-document-is-locked = El PDF tiene contraseña. Guárdalo primero sin ella.
a-document-has-pages = Un PDF tiene aquí entre 1 y { $pages } páginas.
a-page-of-the-document = Una página del PDF es demasiado pequeña o grande para mostrarla.
the-document-has-no-such = El PDF no tiene esa página.
the-document-has-gone = El PDF ya no está: elígelo otra vez.
document-pages =
    { $count ->
    [one] una página
   *[other] { $count } páginas
}
document-as = Como
document-as-pages = Páginas de la pizarra
document-as-things = Cosas en esta página
bringing-pages = Entrando páginas
document-progress = { $done } de { $count }
bring-pages =
    { $count ->
    [one] Traer una página
   *[other] Traer { $count } páginas
}
opening-document = Abriendo el PDF…
attendance-name = nombre
attendance-minutes = minutos
picture-panel = Imagen
crop-picture = Mostrar una parte
crop-hint = Arrastra las esquinas a la parte que debe verse. El resto queda en la imagen.
show-whole = Toda la imagen
flatten-paper = Alisar una hoja
looking-for-sheet = Buscando la hoja …
no-sheet-seen = No se vio ninguna hoja: arrastra las esquinas a las suyas.
sheet-corners-hint = ¿Están bien las esquinas? Si no, arrástralas.
flat-sheet = La hoja alisada
whiten-paper = Papel blanco, sin sombras
use-flat-sheet = Usar la hoja alisada
corner-upper-left = Esquina superior izquierda
corner-upper-right = Esquina superior derecha
corner-lower-right = Esquina inferior derecha
corner-lower-left = Esquina inferior izquierda
lift-ink = Su tinta como trazos
lifting-ink = Buscando tinta en la imagen …
no-ink-seen = No se vio tinta en esta imagen. Primero se alisa la foto del papel.
these-are-no-corners = Estas esquinas no son de una hoja.
camera = Cámara
camera-take = Hacer la foto
camera-again = Otra vez
camera-use = Ponerla en la página
camera-which = Qué cámara
camera-number = Cámara { $number }
camera-paper = Es una hoja de papel: alisarla
camera-none = No se encontró ninguna cámara aquí.
camera-made-up = Probar con una imagen inventada
camera-is-made-up = Una imagen inventada, en lugar de una cámara
not-a-kind-to-open = Este tipo de archivo no se abre aquí. Sí imágenes, PDF, texto, Markdown, CSV e InkML.
the-file-is-empty = No hay nada en este archivo.
the-file-is-no-text = Este archivo no es texto.
the-file-is-no-table = Este archivo no es una tabla.
more-than-fits-a-page = El archivo contiene más de { $things } cosas: tráelo como PDF.
homework-has-words = Una tarea tiene entre 1 y { $most } caracteres.
homework-is-enough = Una sala tiene como máximo { $most } tareas: retira las antiguas.
homework-has-gone = Esta tarea se ha retirado.
mail-address-is-none = «{ $mail }» no es una dirección de correo.
link-days = Un enlace vale de 1 a { $most } días.
links-are-enough = Una sala tiene como máximo { $most } enlaces de lectura: termina los antiguos.
this-link-is-over = Este enlace ya no lleva a ninguna parte. Pide otro a quien lo envió.
mail-has-a-subject = Un correo tiene un asunto de { $most } caracteres como máximo en una línea, y no demasiadas palabras.
mail-is-too-large = Las pizarras juntas superan { $mb } MB: envía menos, o un enlace de lectura.
mail-read-link = Para leer «{ $title }» en el navegador: { $link }
mail-to-whom = Un correo va a entre 1 y { $most } personas.
mail-boards = Un correo lleva como máximo { $most } pizarras.
no-seat-here = Este navegador aún no tiene sitio en esta sala: entra primero por su enlace.
that-is-no-day = Eso no es un día.
after-the-lesson = Después de la clase
no-lesson-yet = Todavía no ha habido ninguna clase en esta sala.
lesson-from-to = { $day }, de { $from } a { $to }
what-was-made = Lo que se ha hecho
only-tutor-side-sees = oculta a los alumnos
take-pdf-of = «{ $title }» en PDF
take-everything = Todo lo de la sala en un archivo
homework = Tareas
until-the-next-lesson = Hasta la próxima clase
take-calendar = Para el calendario (iCalendar)
send-boards = Enviar pizarras
links-to-read = Enlaces de lectura
links-to-read-hint = Quien tiene un enlace así lee la pizarra como la ven los alumnos, hasta su día. Nadie escribe con él.
outbox = Bandeja de salida
until-day = hasta el { $day }
handed-in-by = Hecho: { $names }.
nobody-handed-in = Nadie la ha hecho todavía.
of-people = { $done } de { $count }
take-back = Retirar
homework-what = Qué hay que hacer
homework-until = Hasta
homework-where = Dónde
nowhere-in-particular = En papel, o donde sea
give-homework = Ponerla
send-to = A
mail-of = Correo de { $name }
send-to-others = Y a
boards-as-pdf = Pizarras en PDF
with-read-link = con un enlace de lectura
link-good-for-days = Vale (días)
with-calendar = con la próxima clase para el calendario
mail-subject = Asunto
mail-words = Mensaje
sending = Enviando …
board = Pizarra
end-link = Terminarlo
make-link = Crear enlace
letter-to = { $to }, { $when }
letter-not-sent = no enviado
letter-files = Adjunto: { $files }
found-for = { $name }, en la sala de { $tutor }
found-to-board = A la pizarra
found-closed = Las pizarras de esta sala están cerradas hasta la próxima clase.
found-link = Pizarras, archivos y tareas
handed-in = hecha
take-web-page = Página web
wrap-up-page = Tareas, envíos, todo en una página
send-to-count =
    { $count ->
        [one] Enviar un correo
       *[other] Enviar { $count } correos
    }
mails-sent =
    { $count ->
        [one] Salió { $went } correo de uno.
       *[other] Salieron { $went } de { $count } correos.
    }
nothing-to-bring-back = No hay nada que traer de vuelta.
no-such-moment = No existe ese momento.
moments-are-enough = Una pizarra tiene como máximo { $most } momentos: quita los antiguos.
how-made = Cómo se hizo «{ $title }»
this-page = esta página
how-it-was-made = Cómo se hizo
nothing-made-yet = Todavía no se ha hecho nada en esta página.
play = Reproducir
pause = Pausa
place-in-time = Momento
time-of = { $at } de { $all }
speed = { $value } ×
speed-word = Velocidad
shorten-pauses = Acortar las pausas
whose-work = El trabajo de quién
fetching-steps = { $count } pasos hasta ahora …
moments = Momentos
moments-of = Momentos de «{ $board }»
moment-name = Nombre para la pizarra tal como está
keep-moment = Guardar
no-moments = Todavía no hay momentos. Llega uno solo cuando una clase empieza y cuando termina.
moment-start = Al empezar una clase
moment-end = Al acabar una clase
remove-named = Quitar «{ $name }»
all-as-then = Nada ha cambiado desde entonces.
all-back = Volver a dejar así todas las páginas
then = entonces
today = hoy
page-was-removed = Esta página se quitó.
make-it-so-again = Volver a dejarla así
only-what-has-gone = Traer solo lo que falta
brought-back = Traído de vuelta. Deshacer lo quita otra vez.
fetching-moment = Cargando …
choose-moment = Elige un momento para verlo junto a hoy.
everybody = Todos
template-page = Una página lista …
template-page-hint = tablas, esquemas y dibujos para escribir
templates = Páginas listas
template-search = Buscar una página
template-none = Ninguna página se llama así.
subject-thinking = Pensar y planear
subject-language = Lengua
subject-maths = Matemáticas
subject-science = Ciencias
no-such-template = No existe esa página lista.
tpl-know-wonder-learned = Lo que sabemos, preguntamos, aprendimos
tpl-we-know = Sabemos
tpl-we-wonder = Nos preguntamos
tpl-we-learned = Aprendimos
tpl-compare-two = Comparar dos
tpl-one = Uno
tpl-other = El otro
tpl-both = Ambos
tpl-timeline = En el curso del tiempo
tpl-mind-map = Alrededor de un tema
tpl-topic = Tema
tpl-story-map = Mapa de un cuento
tpl-who = Quién
tpl-where-when = Dónde y cuándo
tpl-problem = Qué sale mal
tpl-first = Primero
tpl-then = Luego
tpl-next = Después
tpl-end = Cómo acaba
tpl-for-and-against = A favor y en contra
tpl-for = A favor
tpl-against = En contra
tpl-i-think = Lo que pienso ahora
tpl-causes = Causas y efecto
tpl-effect = Efecto
tpl-notes = Apuntes con preguntas
tpl-questions = Preguntas
tpl-notes-here = Apuntes
tpl-in-short = En resumen
tpl-exit-ticket = Antes de irnos
tpl-name = Nombre:
tpl-learned-today = Una cosa que aprendí hoy
tpl-still-unclear = Una cosa que aún no está clara
tpl-one-example = Un ejemplo mío
tpl-rubric = Con qué se evalúa
tpl-criterion = Criterio
tpl-begins = Empieza
tpl-on-the-way = En camino
tpl-secure = Seguro
tpl-beyond = Más allá
tpl-timetable = Horario
tpl-time = Hora
tpl-day-1 = Lunes
tpl-day-2 = Martes
tpl-day-3 = Miércoles
tpl-day-4 = Jueves
tpl-day-5 = Viernes
tpl-four-lines = Cuatro líneas para escribir
tpl-dictation = Dictado
tpl-corrected = Corregido
tpl-vocabulary-cards = Tarjetas de palabras
tpl-word = Palabra
tpl-meaning = Significado
tpl-sentences = Construir frases
tpl-when = Cuándo
tpl-who-does = Quién
tpl-does = Hace
tpl-what = Qué
tpl-where = Dónde
tpl-verb-table = Un verbo en tres tiempos
tpl-past = Pasado
tpl-present = Presente
tpl-future = Futuro
tpl-person-1 = yo
tpl-person-2 = tú
tpl-person-3 = él, ella
tpl-person-4 = nosotros
tpl-person-5 = vosotros
tpl-person-6 = ellos, ellas
tpl-dialogue = Diálogo
tpl-axes = Ejes
tpl-number-lines = Rectas numéricas
tpl-hundred-square = Tabla del cien
tpl-times-square = Tablas de multiplicar
tpl-place-value = Valor posicional
tpl-place-1 = Decenas de millar
tpl-place-2 = Millares
tpl-place-3 = Centenas
tpl-place-4 = Decenas
tpl-place-5 = Unidades
tpl-place-6 = Décimas
tpl-place-7 = Centésimas
tpl-fraction-bars = Barras de fracciones
tpl-clock-faces = Esferas de reloj
tpl-bar-chart = Barras para dibujar
tpl-lab-report = Informe de un experimento
tpl-question = Pregunta
tpl-i-expect = Lo que espero
tpl-how-done = Cómo se hace
tpl-set-up = Dibujo del montaje
tpl-measured = Lo que se midió
tpl-shows = Lo que eso muestra
tpl-measurements = Mediciones
tpl-trial = Prueba
tpl-mean = Media
tpl-diary = Diario de observación
tpl-date = Fecha
tpl-what-i-saw = Lo que vi
tpl-drawing = Dibujo
tpl-cycle = Un ciclo
shelf = Estante
shelf-is-full = El estante está lleno: borra lo que ya no necesites.
shelf-may-not-share = Solo quien la escuela permite pone cosas en el estante de todos.
shelf-no-such-thing = Eso ya no está en el estante.
shelf-put-away-first = Primero apártalo; luego se puede borrar del todo.
shelf-search = Buscar palabras
shelf-empty = Aquí no hay nada todavía. Pon una página desde «Página y papel», o una imagen o un PDF con el botón.
shelf-nothing-found = Nada en el estante tiene esas palabras.
shelf-put-file = Poner una imagen o un PDF
shelf-put-page = Ponerla en el estante
shelf-page-put = «{ $title }» está en el estante.
shelf-use = Usar «{ $title }»
shelf-folder = Carpeta
shelf-no-folder = Sin carpeta
shelf-school = de la escuela
shelf-share = Para todos los tutores de la escuela
shelf-change = Cambiar «{ $title }»
shelf-away = Apartar
shelf-put-away = Apartado ({ $count })
shelf-delete = Borrar del todo
office-not-here = Este servidor no abre documentos de ofimática. Guárdalo allí como PDF y trae ese.
office-took-too-long = El documento tardó demasiado en convertirse en PDF. Guárdalo tú como PDF y trae ese.
office-made-nothing = No se pudo hacer un PDF de este documento.
screen-take = De la pantalla
screen-refused = No se tomó nada: no se eligió ninguna ventana, o el navegador no lo permite.
take-some = Páginas elegidas
take-written = Lo que dice la tinta se puede buscar
send-needs-account = Solo una sala que pertenece a una cuenta envía correo desde este servidor. Asígnala primero desde su inicio.
a-card-leads-to-one = Una tarjeta lleva a una dirección o reproduce un archivo.
no-sound-or-video = No es un sonido ni un vídeo que los navegadores reproduzcan (MP3, M4A, WAV, Ogg, FLAC, MP4, WebM).
no-such-medium = No existe ese sonido o vídeo.
card-untitled = Sin título
card-new = Una tarjeta para un enlace
card-change = Título y dirección
card-address = Dirección
card-address-problem = Una dirección empieza por https://, http:// o mailto: y no tiene espacios.
card-title = Título
card-of = Lleva a
card-link = Enlace
card-sound = Sonido
card-video = Vídeo
card-hint = Tus propios sonidos y vídeos se traen como archivos: así suenan para todos a la vez.
card-put = Ponerla en la página
card-open = Abrir el enlace
card-listen = Reproducir para mí
card-play-all = Reproducir para todos
bringing-medium-in = Trayendo el sonido o el vídeo…
player = Suena: { $title }
player-alone = Solo para ti
player-for-all = Para todos; tú lo llevas
player-led = Lo lleva { $name }
player-failed = No se puede reproducir aquí: el archivo no está en esta sala o este navegador no conoce su tipo.
player-listen = Pulsa para oírlo también
player-place = Posición
player-large = Más grande
player-small = Más pequeño
player-end = Terminar para todos
player-quiet = Silenciar aquí
player-loud = Oír aquí
there-are-no-bays-there = En estas páginas no hay zonas.
of-the-pdf = El PDF
take-desks = Todos los pupitres
take-paper = Papel
paper-as-large = Del tamaño de cada página
paper-letter = Carta
take-cut = Cortar las páginas largas en hojas para juntarlas
take-bays = Cada zona sola, en vez de las páginas
too-much-was-made-for-one = En estas páginas se hizo demasiado para reproducirlo en un solo archivo. Toma menos páginas.
of-the-web-page = La página web
take-making = Puede reproducir cómo se hicieron las páginas, también lo borrado
lost-ink = Tinta de { $name }
lost-words = «{ $words }» de { $name }
then-pick = entonces: pulsa lo que deba volver solo
only-the-chosen = Traer de vuelta lo elegido ({ $count })
no-such-drawing = Ese dibujo no existe.
drawings = Dibujos
drawing-search = Buscar un dibujo
drawing-none = Ningún dibujo se llama así.
drawings-places = Lugares y caminos
drawings-faces = Caras
drawings-signs = Signos
drw-sun = Sol
drw-moon = Luna
drw-planet = Planeta
drw-cloud = Nube
drw-drop = Gota de agua
drw-flame = Llama
drw-leaf = Hoja
drw-flower = Flor
drw-tree = Árbol
drw-fish = Pez
drw-bird = Pájaro
drw-beaker = Vaso de precipitados
drw-test-tube = Tubo de ensayo
drw-thermometer = Termómetro
drw-magnet = Imán
drw-lamp = Bombilla
drw-battery = Pila
drw-atom = Átomo
drw-cube = Cubo
drw-cuboid = Ortoedro
drw-cylinder = Cilindro
drw-cone = Cono
drw-sphere = Esfera
drw-pyramid = Pirámide
drw-prism = Prisma
drw-shared = Seis partes iguales
drw-scales = Balanza
drw-dice = Dado
drw-coin = Moneda
drw-spinner = Ruleta
drw-house = Casa
drw-school = Escuela
drw-hill = Montaña
drw-island = Isla
drw-bridge = Puente
drw-tent = Tienda
drw-boat = Barco
drw-signpost = Señal de camino
drw-globe = Globo terráqueo
drw-sundial = Reloj de sol
drw-glad = Contento
drw-proud = Orgulloso
drw-astonished = Asombrado
drw-thinking = Pensativo
drw-unsure = Inseguro
drw-tired = Cansado
drw-sad = Triste
drw-attention = Atención
drw-said = Dicho
drw-thought = Pensado
drw-magnifier = Mirar de cerca
drw-pencil = Escribir
drw-book = Leer
drw-listening = Escuchar
drw-together = Juntos
drw-flag = Bandera
drw-key = Llave
drw-bell = Campana
drw-hourglass = Tiempo
drw-parcel = Regalo
printed-words = Palabras impresas
printed-words-of-page = Palabras impresas de esta página
printed-hint = Marca palabras en la página y cópialas o ponlas en la pizarra.
copy-refused = El navegador no permitió copiar.
copy-picked = Copiar lo marcado
copy-all-words = Copiar todas las palabras
set-picked = Poner lo marcado como texto
set-all-words = Poner todas las palabras como texto
handed-in-enough = Se pueden entregar como mucho { $most } archivos por tarea. Retira uno primero.
take-file-back = Retirar { $name }
sending-file = Enviando «{ $name }», { $number } de { $count } …
file-not-taken = «{ $name }» no se ha aceptado: { $problem }
hand-in-file = Entregar un archivo o una foto
hand-in-hint = Imágenes y PDF. Solo tu profesor los ve.
mark-on-board = Corregir en la pizarra
hand-in-page = Entregar esta página como está ahora, para
page-handed-in = Entregado. Lo que se escriba después no está incluido.
take-back-with = ¿Retirarla con { $count } archivos?
take-print = Imprimir
take-print-hint = abre el PDF, para imprimirlo desde ahí
key-print = Imprimir esta página
call-place-is-taken = Ese lugar en la llamada es de otra persona.
call-is-full = La llamada está llena: hay { $most } personas. Puedes escribir en el chat.
reason-muted = Tu micrófono está silenciado por ahora. Levanta la mano para hablar.
reason-unseen = Tu imagen no se muestra por ahora.
reason-voices-pens = Ahora solo hablan quienes tienen un lápiz. Levanta la mano.
reason-voices-tutor-side = Ahora solo habla el profesor. Levanta la mano.
reason-faces-pens = Ahora solo se ve a quienes tienen un lápiz.
reason-faces-tutor-side = Ahora solo se ve al profesor.
reason-no-lesson = Ahora no hay clase.
did-voices-all = { $by } dejó hablar a todos.
did-voices-pens = { $by } dejó hablar a quienes tienen un lápiz.
did-voices-tutor-side = { $by } dejó hablar solo al profesor.
did-faces-all = { $by } dejó ver a todos.
did-faces-pens = { $by } dejó ver a quienes tienen un lápiz.
did-faces-tutor-side = { $by } dejó ver solo al profesor.
did-caller-muted = { $by } silenció a { $name }.
did-caller-unseen = { $by } ocultó la imagen de { $name }.
did-caller-called = { $by } llamó a { $name }.
did-caller-heard = { $by } dejó hablar a { $name } como los demás.
call = Llamada
call-join = Unirse a la llamada
call-join-with = Unirse a la llamada ({ $count })
call-leave = Salir de la llamada
call-settings = Sobre la llamada
call-faces = Imágenes de la llamada
call-you = Tú
call-speaking = habla
call-muted = en silencio
call-hand-up = mano levantada
call-way-lost = buscando un camino
call-back-to-board = Volver a la pizarra
call-move-picture = Mueve la imagen con las flechas; más y menos cambian su tamaño
call-hide-own = Ocultarme mi propia imagen
call-low-data = Pocos datos: imagen pequeña, poco frecuente
call-who-speaks = Quién habla
call-who-is-seen = A quién se ve
call-those-with-a-pen = Quienes tienen un lápiz
call-of = { $name } en la llamada
call-mute = Silenciar
call-hide = Ocultar imagen
call-up = Llamar
call-trouble-voice = no tiene micrófono
call-trouble-silent = el micrófono no da sonido
call-trouble-face = no tiene cámara
call-trouble-way = no llega a alguien de la llamada
faces-where = Imágenes
faces-column = Junto a la pizarra
faces-strip = En una tira
faces-big = En grande
faces-nowhere = Solo sonido
device-microphone = Micrófono
device-camera = Cámara
device-speaker = Altavoz
device-usual = La elección del navegador
device-number = Dispositivo { $number }
device-made-up-voice = Un micrófono simulado (un tono suave)
device-made-up-face = Una cámara simulada (una imagen dibujada)
microphone-on = Activar el micrófono
microphone-off = Desactivar el micrófono
camera-on = Activar la cámara
camera-off = Desactivar la cámara
no-microphone = No se encontró ningún micrófono. Conecta uno o elige otro en «Sobre la llamada».
microphone-refused = El navegador no tuvo permiso para usar el micrófono. Permítelo en la barra de direcciones y pulsa otra vez.
microphone-busy = Otro programa usa el micrófono. Ciérralo allí y pulsa otra vez.
microphone-gone = El micrófono se desconectó.
no-camera-there = No se encontró ninguna cámara. Todos ven tu marca en su lugar.
camera-was-refused = El navegador no tuvo permiso para usar la cámara. Permítelo en la barra de direcciones y pulsa otra vez.
camera-busy = Otro programa usa la cámara. Ciérrala allí y pulsa otra vez.
camera-gone = La cámara se desconectó.
check-devices = Comprobar cámara, micrófono y lápiz
check-try = Probar mi cámara y mi micrófono
check-try-hint = Puedes entrar sin ninguno de los dos.
check-asking = comprobando …
check-say-something = Di algo.
check-sound = Tocar tres notas
check-line = Línea
check-pen = Lápiz
check-scribble = Garabatea aquí.
works = funciona
felt-pen = un lápiz con presión
felt-pen-flat = un lápiz sin presión
felt-finger = un dedo
felt-mouse = un ratón
line-check-good = buena: { $ms } ms ida y vuelta
line-check-slow = lenta: { $ms } ms ida y vuelta. La tinta de los demás llega tarde; acércate al router o usa un cable.
line-check-loses = { $lost } de { $of } respuestas no llegaron. Acércate al router o usa un cable.
line-check-none = El servidor no responde.
browser-has-no-call = Este navegador no conoce llamadas. La pizarra funciona igualmente.
browser-needs-https = La cámara y el micrófono necesitan una dirección que empiece por https.
come-in-with-voice = Entrar con el micrófono
come-in-with-face = Entrar con la cámara
key-speak = Hablar mientras se mantiene
show-window = Mostrar una ventana a todos
show-camera = Mostrar papel con otra cámara
show-made-up = No hay otra cámara: se muestra una hoja simulada.
show-stop = Dejar de mostrar
show-still = Poner una imagen en la página
show-larger = Más grande
show-smaller = Más pequeño
shown-by = { $name } muestra
shown-by-you = Muestras esto a todos
call-own-window = En una ventana propia
call-no-window = Este navegador no muestra imágenes en una ventana propia.
outside-call = Una llamada en otro lugar
outside-call-hint = Cuando os oís en otro programa: su enlace aparece en el vestíbulo.
outside-call-address = La dirección de una llamada empieza por http:// o https:// y no tiene espacios.
outside-call-is-at = Os oís en otro programa:
outside-call-open = abrir esa llamada
invite-card = Copiar una tarjeta para el chat de otra llamada
invite-card-text = { $room }: abre { $address } junto a esta llamada. En una imagen compartida de la pizarra no se puede escribir; allí sí.
typeset-unsure = Componer, no es seguro
a-formula-has-at-most = Una fórmula tiene como máximo { $signs } signos.
a-formula-is-empty = Todavía no hay ninguna fórmula.
a-formula-is-too-deep = La fórmula tiene demasiadas cosas unas dentro de otras.
a-formula-has-too-many = La fórmula tiene demasiadas filas o columnas.
a-formula-has-an-odd = «{ $sign }» no es un signo conocido en una fórmula.
a-formula-lacks-something = Falta algo: tras una barra de fracción, una potencia o una raíz hay algo.
a-bracket-is-not-closed = «{ $sign }» se abre y no se cierra.
a-formula-cannot-be-set = Esta fórmula no se puede componer.
tool-formula = Fórmula
formula-new = Una fórmula
formula-change = Cambiar la fórmula
formula-typed = Fórmula, como en el teclado o en LaTeX
formula-hint = x^2, (a+b)/2, sqrt(x), <=, alpha, sum_(k=1)^n; una línea nueva queda debajo, en el signo igual.
formula-preview = Así quedará
formula-put = Poner en la pizarra
formula-signs = Signos
formula-copy-latex = Copiar como LaTeX
formula-copy-mathml = Copiar como MathML
formula-copied = Copiado.
heard-formula = Fórmula{ $number }: { $words }, de { $name }
signs-arithmetic = Aritmética
signs-algebra = Álgebra
signs-functions = Funciones
signs-calculus = Análisis
signs-sets = Conjuntos y lógica
signs-geometry = Geometría
signs-vectors = Vectores
signs-statistics = Estadística
signs-units = Unidades
signs-chemistry = Química
signs-greek = Griego
right-maths = Componer fórmulas
right-maths-short = fórmulas
a-formula-is-too-long-to = Esta fórmula es demasiado larga para calcularla.
a-formula-has-no-meaning = Está compuesta, pero no es nada que se pueda calcular.
a-formula-has-two-values = Con ± se indican dos valores: calcúlalos uno a uno.
nothing-is-divided-by-0 = Aquí se divide entre 0.
a-value-is-too-large = Un valor es demasiado grande.
units-do-not-belong-there = Hay unidades donde no se puede calcular con ellas.
units-do-not-go-together = Estas unidades no se pueden sumar: miden cosas distintas.
a-unit-is-not-known = La unidad «{ $unit }» no se conoce aquí.
it-takes-too-long = Calcular esto lleva demasiado tiempo.
nothing-more-to-work-out = No hay nada más que calcular.
that-cannot-be-worked-out = Eso no se puede calcular aquí.
that-is-true = Es verdadero.
that-is-not-true = No es verdadero.
there-is-no-solution = No hay solución.
every-number-solves-it = Cualquier número lo resuelve.
a-line-has-no-meaning = Esta línea no se puede comparar.
a-line-is-of-another-kind = Una línea es una expresión y la otra una ecuación.
a-line-may-begin-anew = No se sigue de la línea anterior. Quizá empieza algo nuevo: hay palabras antes, o empieza una columna.
the-sides-differ = A la izquierda es { $one }, a la derecha { $other }.
a-side-is-rounded = Redondeado: es { $value }.
the-values-differ = Arriba es { $one }, aquí { $other }.
the-values-differ-at = Para { $where } es { $one } arriba y { $other } aquí.
solutions-are-lost = Se pierde una solución: { $lost }.
solutions-are-gained = Aparece una solución que no lo era: { $gained }.
solutions-are-lost-and-gained = Perdida: { $lost }. Nueva, sin ser solución arriba: { $gained }.
the-sign-has-to-be-turned = Al multiplicar por algo negativo, hay que girar el signo.
a-point-solves-only-one = { $where } cumple la línea de arriba y no esta.
working-has-two-lines = Un desarrollo tiene de 2 a { $lines } líneas.
work-it-out = Calcular
working-it-out = Calculando…
check-the-working = Comprobar el desarrollo
checking-the-lines = Comparando las líneas…
set-the-marks = Poner marcas junto a las líneas
line-first = El comienzo.
line-follows = Se sigue.
line-does-not = No se sigue.
line-cannot-tell = No se puede decir.
line-right = Correcto.
line-wrong = No es correcto.
offer-value = Valor
offer-decimal = En decimal
offer-simplified = Simplificado
offer-expanded = Desarrollado
offer-factored = Factorizado
offer-solved = Solución
offer-steps = Con los pasos
offer-derived = Derivada
offer-integrated = Primitiva
offer-quantity = Magnitud
offer-said = Resultado
set-as-maths = Componer como fórmula
other-formulas = Otras lecturas como fórmula
other-formulas-short = O…
type-the-formula = Escribirla
formula-how = Pulsa donde deba ir la fórmula; sobre una para cambiarla.
a-reaction-is-too-long = Una reacción tiene como máximo 12 sustancias.
a-reaction-cannot-be-balanced = Ningún número entero ajusta esta reacción.
a-reaction-has-many-ways = Esta reacción se puede ajustar de más de una manera.
a-reaction-is-balanced = Los átomos y la carga están ajustados.
a-reaction-is-not-balanced = No está ajustada así: { $more }.
offer-balanced = Ajustada
offer-mass = Masa molar
a-letter-has-no-value = La letra { $name } aún no tiene valor.
a-formula-has-no-graph = Esta fórmula no tiene gráfica.
a-graph-has-at-most = Una gráfica tiene como máximo { $lines } fórmulas.
graph-draw = Dibujar la gráfica
graph-panel = Gráfica…
graph-add = Añadir una fórmula
graph-show = Mostrar { $formula }
graph-take-off = Quitar { $formula }
graph-x-from = x desde
graph-x-to = hasta
graph-y-from = y desde
graph-y-to = hasta
graph-nearer = Más cerca
graph-further = Más lejos
graph-other-formula = Cambiar esta fórmula
graph-no-number = «{ $typed }» no es un número. 1,5, −2, 1/2, π/2 y 90° lo son.
graph-first-smaller = El primer número tiene que ser menor que el último.
graph-slider = Deslizador de { $name }
graph-letter-from = { $name } desde
graph-letter-to = { $name } hasta
graph-counted = Números a lo largo de x
graph-numbers = simples
graph-pi = en π
graph-degrees = en grados
heard-graph = Gráfica de { $words }, de { $name }
instruments = Instrumentos de dibujo
instrument-ruler = Regla
instrument-protractor = Transportador
instrument-square = Escuadra
instrument-corners = Ángulos
instrument-compasses = Compás
instrument-open = Abertura
instrument-how = Arrástralo, gíralo por un asa verde, la rueda o ← →; la tinta que empieza en un borde lo sigue.
scale = Escala
scale-paper = Centímetros del papel
scale-what = Una cuadrícula de esta página representa
scale-each = Cuántos
scale-unit = De qué
scale-units = unidades
scale-number = Un número mayor que 0, como 5 o 0,5.
scale-set = Medir así
square-is = 1 cuadrícula = { $each } { $unit }
a-unit-is-short = Una unidad es una línea de como mucho { $most } caracteres.
chart = Diagrama
chart-panel = Diagrama…
chart-forms = Formas de diagramas
chart-bars = Barras
chart-stacked = Barras apiladas
chart-lines = Líneas
chart-scatter = Dispersión
chart-pie = Sectores
chart-histogram = Histograma
chart-box = Diagrama de caja
chart-stems = Tallo y hojas
chart-by-rows = Las series son filas
chart-fit = Recta de ajuste con su ecuación
chart-follows = Sigue a su tabla cuando cambian las celdas.
chart-alone = Su tabla ya no está: se queda como está.
a-chart-needs-numbers = Todavía no hay números en estas celdas.
a-pie-needs-shares = Un diagrama de sectores muestra hasta 24 partes, ninguna negativa.
a-charts-title-is-one = El título de un diagrama es una línea de como mucho 120 caracteres.
heard-chart = Un diagrama. { $words } De { $name }.
cells-work-out = Una celda que empieza por = se calcula: =A2*B2, =suma(B2:B5), =promedio(B2:B5), =max(B2:B5).
measure = Medir
measure-nothing = Nada
measure-distance = Distancia
measure-angle = Ángulo
measure-distance-how = Pulsa dos puntos o arrastra de uno a otro; las esquinas y los extremos se atrapan.
measure-angle-how = Pulsa un lado, el vértice y el otro lado; las esquinas y los extremos se atrapan.
measure-shown = Muestra
measure-sides = Longitudes
measure-angles = Ángulos
measure-area = Área
measure-around = Perímetro
construct = Construir
construct-midpoint = Puntos medios
construct-perpendicular = Mediatrices
construct-parallel = Paralelas
construct-bisector = Bisectrices
a-bisector-needs-an-angle = Una bisectriz necesita un ángulo: una figura con vértices o dos rectas que se cortan.
only-straight-figures = Esto se construye con rectas y figuras de lados rectos.
graph-window = Ventana de la gráfica: arrastrar, flechas, rueda
graph-fit = Ajuste
graph-fit-none = Ninguno
graph-fit-line = Recta
graph-fit-parabola = Parábola
graph-fit-cubic = Cúbica
place-zero = Cero
place-start = En x = 0
place-highest = Máximo
place-lowest = Mínimo
place-meets = Corta
place-mark = Marcar
place-none = No hay puntos notables en esta ventana.
place-trace = Recorrer la curva
place-slope = pendiente { $slope }
place-undefined = no definida aquí
place-tangent = Dibujar la tangente
place-from = Área de
place-to = a
place-area = = { $area }
that-is-no-curve-over-x = No es una curva en x: aquí no tiene puntos notables.
graph-from-table = Tabla en la gráfica
graph-also = También:
drawings-physics = Circuitos, lentes, fuerzas
drw-cell = Pila
drw-cells = Batería (símbolo)
drw-switch = Interruptor
drw-resistor = Resistencia
drw-variable-resistor = Resistencia variable
drw-lamp-sign = Lámpara (símbolo)
drw-ammeter = Amperímetro
drw-voltmeter = Voltímetro
drw-motor = Motor
drw-capacitor = Condensador
drw-diode = Diodo
drw-coil = Bobina
drw-junction = Nudo
drw-convex-lens = Lente convergente
drw-concave-lens = Lente divergente
drw-mirror = Espejo
drw-prism-of-glass = Prisma de vidrio
drw-ray = Rayo de luz
drw-candle = Vela
drw-vector-parts = Vector con componentes
drw-spring = Muelle con peso
element-H = Hidrógeno
element-He = Helio
element-Li = Litio
element-Be = Berilio
element-B = Boro
element-C = Carbono
element-N = Nitrógeno
element-O = Oxígeno
element-F = Flúor
element-Ne = Neón
element-Na = Sodio
element-Mg = Magnesio
element-Al = Aluminio
element-Si = Silicio
element-P = Fósforo
element-S = Azufre
element-Cl = Cloro
element-Ar = Argón
element-K = Potasio
element-Ca = Calcio
element-Sc = Escandio
element-Ti = Titanio
element-V = Vanadio
element-Cr = Cromo
element-Mn = Manganeso
element-Fe = Hierro
element-Co = Cobalto
element-Ni = Níquel
element-Cu = Cobre
element-Zn = Zinc
element-Ga = Galio
element-Ge = Germanio
element-As = Arsénico
element-Se = Selenio
element-Br = Bromo
element-Kr = Kriptón
element-Rb = Rubidio
element-Sr = Estroncio
element-Y = Itrio
element-Zr = Circonio
element-Nb = Niobio
element-Mo = Molibdeno
element-Tc = Tecnecio
element-Ru = Rutenio
element-Rh = Rodio
element-Pd = Paladio
element-Ag = Plata
element-Cd = Cadmio
element-In = Indio
element-Sn = Estaño
element-Sb = Antimonio
element-Te = Telurio
element-I = Yodo
element-Xe = Xenón
element-Cs = Cesio
element-Ba = Bario
element-La = Lantano
element-Ce = Cerio
element-Pr = Praseodimio
element-Nd = Neodimio
element-Pm = Prometio
element-Sm = Samario
element-Eu = Europio
element-Gd = Gadolinio
element-Tb = Terbio
element-Dy = Disprosio
element-Ho = Holmio
element-Er = Erbio
element-Tm = Tulio
element-Yb = Iterbio
element-Lu = Lutecio
element-Hf = Hafnio
element-Ta = Tantalio
element-W = Wolframio
element-Re = Renio
element-Os = Osmio
element-Ir = Iridio
element-Pt = Platino
element-Au = Oro
element-Hg = Mercurio
element-Tl = Talio
element-Pb = Plomo
element-Bi = Bismuto
element-Po = Polonio
element-At = Astato
element-Rn = Radón
element-Fr = Francio
element-Ra = Radio
element-Ac = Actinio
element-Th = Torio
element-Pa = Protactinio
element-U = Uranio
element-Np = Neptunio
element-Pu = Plutonio
element-Am = Americio
element-Cm = Curio
element-Bk = Berkelio
element-Cf = Californio
element-Es = Einstenio
element-Fm = Fermio
element-Md = Mendelevio
element-No = Nobelio
element-Lr = Lawrencio
element-Rf = Rutherfordio
element-Db = Dubnio
element-Sg = Seaborgio
element-Bh = Bohrio
element-Hs = Hasio
element-Mt = Meitnerio
element-Ds = Darmstatio
element-Rg = Roentgenio
element-Cn = Copernicio
element-Nh = Nihonio
element-Fl = Flerovio
element-Mc = Moscovio
element-Lv = Livermorio
element-Ts = Teneso
element-Og = Oganesón
periodic-table = Tabla periódica
element-search = Nombre, símbolo o número
element-number = número { $number }
element-weight = { $weight } g/mol
element-put = Ponerlo en la página
element-put-all = Con número y masa
chance = Azar
chance-coin = Moneda
chance-dice = Dados
chance-spinner = Ruleta
chance-numbers = Números
chance-how-many = Cuántos
chance-sides = Caras
chance-parts = Partes, separadas por comas
chance-parts-ready = sol, nube, lluvia
chance-from = De
chance-to = A
chance-put = Ponerlo en la página
chance-heads = cara
chance-tails = cruz
chance-count = cuántas veces
chance-throw = Lanzar
chance-times = { $times } veces
a-spinner-has-parts = Una ruleta tiene de 2 a { $most } partes con nombres distintos.
so-many-dice = Se lanzan hasta { $most } dados de 4, 6, 8, 10, 12 o 20 caras a la vez.
so-many-outcomes = Una tabla cuenta hasta { $most } resultados.
so-many-throws = Entre 1 y { $most } lanzamientos a la vez.
number-line-put = En una recta numérica
that-is-no-inequality = Una recta numérica muestra una inecuación con una letra, como -1 < x <= 2.
that-mathml-is-not-understood = Ese MathML no se entiende.
rehearse = Ensayar
rehearse-what = Alumnos inventados entran, escriben, levantan la mano y pierden la red. Nada queda si no lo guardas.
rehearse-students = Cuántos alumnos
rehearse-start = Empezar un ensayo
rehearsal-on = Esto es un ensayo: los alumnos son inventados y nada queda.
rehearsal-keep = Guardarlo como sala
rehearsal-end = Terminar el ensayo
rehearsal-kept = Guardado: ahora es una sala tuya y los alumnos inventados se han ido.
a-rehearsal-has-students = Un ensayo tiene de 1 a { $most } alumnos y se hace de una sala, no de otro ensayo.
that-is-no-rehearsal = Esa sala no es un ensayo.
rehearsal-says-louder = ¿Puedes decirlo un poco más alto?
rehearsal-says-again = ¿Puedes mostrarlo otra vez?
rehearsal-says-why = ¿Por qué es así?
rehearsal-says-done = He terminado.
enough-rehearsals-are-on = Ya hay bastantes ensayos en este servidor; otro empieza cuando uno haya terminado.
signs-of-line = Signos de la línea { $line }
sign-of-formula = Signo { $number }
signs-hint = ¿Un signo es otro? Elíjalo y el resto se lee de nuevo.
formula-in-the-text = Fórmula
formula-in-the-text-hint = Seleccione lo que está escrito como fórmula, por ejemplo a^2/2, y se compone como tal (Ctrl M)
a-text-has-too-many-formulas = Un texto tiene como máximo { $formulas } fórmulas.
spoken-fraction = { $above } sobre { $below }
spoken-long-fraction = la fracción { $above } sobre { $below } fin de la fracción
spoken-root = raíz cuadrada de { $body }
spoken-long-root = raíz cuadrada de { $body } fin de la raíz
spoken-root-of = raíz { $index } de { $body } fin de la raíz
spoken-squared = { $base } al cuadrado
spoken-cubed = { $base } al cubo
spoken-power = { $base } elevado a { $power }
spoken-long-power = { $base } elevado a { $power } fin de la potencia
spoken-index = { $base } sub { $index }
spoken-prime = prima
spoken-from-to = { $sign } desde { $low } hasta { $high } de
spoken-limit = { $sign } para { $low } de
spoken-brackets = abre paréntesis { $body } cierra paréntesis
spoken-absolute = valor absoluto de { $body } fin del valor absoluto
spoken-capital = { $letter } mayúscula
spoken-line = Línea { $number }: { $words }.
spoken-row = fila { $number }: { $words };
spoken-mark-vector = vector { $body }
spoken-mark-mean = { $body } barra
spoken-mark-hat = { $body } gorro
spoken-mark-dot = { $body } punto
spoken-function-sin = seno
spoken-function-cos = coseno
spoken-function-tan = tangente
spoken-function-ln = logaritmo natural
spoken-function-log = logaritmo
spoken-function-lim = límite
spoken-sign-plus = más
spoken-sign-minus = menos
spoken-sign-equals = igual a
spoken-sign-less = menor que
spoken-sign-greater = mayor que
spoken-sign-at-most = menor o igual que
spoken-sign-at-least = mayor o igual que
spoken-sign-unequal = distinto de
spoken-sign-about = aproximadamente igual a
spoken-sign-plus-minus = más o menos
spoken-sign-times = por
spoken-sign-divided = dividido entre
spoken-sign-colon = dos puntos
spoken-sign-in = pertenece a
spoken-sign-to = tiende a
spoken-sign-implies = implica
spoken-sign-equivalent = equivale a
spoken-sign-both-ways = en equilibrio con
spoken-sign-infinity = infinito
spoken-sign-integral = la integral
spoken-sign-sum = la suma
spoken-sign-product = el producto
spoken-sign-degrees = grados
spoken-sign-percent = por ciento
spoken-sign-factorial = factorial
spoken-sign-partial = d parcial
spoken-sign-union = unión
spoken-sign-intersection = intersección
spoken-sign-empty-set = el conjunto vacío
spoken-sign-angle = ángulo
spoken-sign-parallel = paralela a
spoken-sign-perpendicular = perpendicular a
spoken-sign-bar = barra
spoken-sign-comma = coma
spoken-sign-and-so-on = y así sucesivamente
spoken-sign-for-all = para todo
spoken-sign-there-is = existe
spoken-sign-similar = semejante a
spoken-sign-proportional = proporcional a
formula-number = Número
formula-number-next = Numerar ({ $number })
a-formulas-number-is-one-line = El número de una fórmula tiene como máximo { $signs } signos en una línea.
so-many-formulas-at-once = Como máximo se leen { $formulas } fórmulas a la vez.
did-record-voice = { $by } empezó a grabar su voz.
recording-elsewhere = Su voz ya se graba en otro dispositivo.
recording-not-readable = Eso no es una grabación que se pueda guardar.
recordings-are-enough = Una sala guarda hasta { $most } grabaciones: quite antes una.
recording-has-ended = Esa grabación ha terminado; ya no se le puede añadir nada.
recording-untold = Una voz solo se graba mientras todos en la sala lo saben.
no-such-recording = Esa grabación ya no está, o no puede escucharla.
record-voice = Grabar mi voz
record-voice-hint = Para repetir la clase. Todos lo ven; solo se graba su micrófono.
record-stop = Parar la grabación
record-pause = Interrumpir
record-go-on = Seguir grabando
recorded-now = Se graba a { $name }
recorded-you = Se graba su voz
recorded-hint = { $name } graba su propia voz para repetir esta clase. No se graba la voz de nadie más.
recorded-short = Grabación
recording-begun = { $name } graba ahora su voz para repetir la clase. La suya no se graba.
recording-over = La grabación de { $name } ha terminado.
recording-waits = { $seconds } s esperan la conexión
recording-lost = No se pudieron guardar { $seconds } s de la grabación: { $why }
recording-cannot = Este navegador no puede grabar sonido.
lesson-again = La clase otra vez
no-recordings = Aún no se ha grabado ninguna voz en esta sala. «Grabar mi voz» está en «Llevar».
which-recording = Grabación
recording-of = { $when }, { $time }, { $name }
recording-elsewhere-then = En otra pizarra entonces: { $title }
recording-no-page = La página de ese momento ya no existe.
chapters = Páginas de la grabación
recording-unplayable = Este navegador no puede reproducir esa grabación.
students-may-listen = Los alumnos pueden escuchar
take-recording = La voz como archivo
take-chapters = Sus capítulos (WebVTT)
remove-recording = Quitar la grabación
recordings = Voz grabada
take-voice = Con la voz grabada
lesson-again-hint = Una voz grabada y, a la par, las páginas tal como surgieron.
check-desks = Comprobar el desarrollo en todos los pupitres
desks-checked = Desarrollo en los pupitres
desk-round = Ronda de pupitres
desk-away = no está
desk-elsewhere = en otra página
desk-nothing-yet = nada todavía
desk-begun = en el pupitre
go-to-desk-of = Ir al pupitre de { $name }
note-on-desk = Una nota en el pupitre de { $name }
note-on-desk-hint = Lo que quieres decir
note-put = Dejarla allí
show-desk-of = Mostrar el pupitre de { $name } a todos
show-to-all = Mostrar a todos
desk-shown = Todos ven el pupitre de { $name }.
handed-out-page = Página repartida
note-on-your-desk = { $name } ha dejado una nota en tu pupitre.
key-round = Mirar todos los pupitres
hand-page-out =
    { $count ->
        [one] Repartir esta página a un alumno
       *[other] Repartir esta página a { $count } alumnos
    }
handed-out =
    { $count ->
        [one] Un alumno tiene un pupitre con esta página. La ronda de pupitres lo muestra.
       *[other] { $count } alumnos tienen un pupitre con esta página. La ronda de pupitres los muestra a todos.
    }
piece-box = Caja de piezas
piece-box-hint = Cosas guardadas fuera de la página
piece-box-empty = La caja está vacía. Elige cosas en una página, pulsa Disponer y luego Guardar en la caja.
piece-keep = Guardar en la caja
piece-kept = «{ $title }» está en la caja de piezas, en Traer.
a-piece = Una pieza
a-piece-has-at-most = Una pieza tiene como mucho { $most } cosas.
on-all-desks =
    { $count ->
        [one] En el pupitre
       *[other] En los { $count } pupitres
    }
piece-put-on-desks =
    { $count ->
        [one] Poner «{ $title }» en el pupitre
       *[other] Poner «{ $title }» en los { $count } pupitres
    }
piece-on-desks =
    { $count ->
        [one] «{ $title }» está en el pupitre.
       *[other] «{ $title }» está en { $count } pupitres.
    }
remove-desks = Quitar los pupitres
yes-remove-desks =
    { $count ->
        [one] Sí, quitar un pupitre
       *[other] Sí, quitar { $count } pupitres
    }
no-desks-here = Nadie tiene pupitre en esta pizarra.
desks-looked-at =
    { $count ->
        [one] Un pupitre
       *[other] { $count } pupitres
    }
desks-looking = Pupitre { $at } de { $count } …
desk-waits = aún sin mirar
desk-without-working = sin desarrollo
desk-does-not =
    { $count ->
        [one] una línea no es correcta
       *[other] { $count } líneas no son correctas
    }
desk-cannot-tell = no se sabe para todas las líneas
desk-follows = las { $count } líneas son correctas
go-to-desk = Ir allí
check-again = Comprobar otra vez
mark-all-desks = Poner las marcas en todas
captions = Subtítulos
captions-see = Subtítulos, cuando alguien los escribe
captions-write = Escribir subtítulos
captions-hide = Ocultar los subtítulos; vuelven en tu menú
captions-stop = Dejar de escribir subtítulos
caption-hint = Lo que se dice
caption-show = Mostrar
recordings-not-all = No todas las grabaciones están en este archivo: juntas superan { $mb } MB. Llévate las más antiguas una por una.
