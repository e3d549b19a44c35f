package intent

// spanishLists returns the lists for Spanish.
func spanishLists() Lists {
	return Lists{
		Question: []string{"cómo", "como", "qué", "que", "por qué", "cuándo", "cuánto", "cuánta", "cuántos", "dónde",
			"quién", "cuál", "cuáles", "puedo", "debo", "es", "se puede"},
		Research: []string{"precio", "precios", "costo", "coste", "costos", "cuánto", "cuesta", "tarifa", "cómo",
			"ideas", "fotos", "imágenes", "ejemplos", "casero", "casera", "uno mismo",
			"consejos", "guía", "definición", "significado", "diferencia", "antes y después", "tipos de", "ventajas",
			"desventajas", "requisitos", "normativa", "vs", "o", "pasos",
			"vida útil", "señales", "calculadora", "vídeo", "manual"},
		Trouble: []string{"no", "gotea", "goteando", "fuga", "averiado", "avería", "falla", "fallo", "error",
			"código de error", "código", "problema", "ruido", "atascado", "roto",
			"huele", "diagrama", "esquema", "parpadea"},
		Hire: []string{"emergencia", "urgente", "urgencia", "24 horas", "mejor", "mejores", "barato", "económico",
			"presupuesto", "cotización", "local", "certificado", "autorizado",
			"profesional", "confiable", "recomendado", "cita", "a domicilio", "bueno"},
		Doers: []string{"empresa", "compañía", "contratista", "servicio", "especialista", "experto", "técnico",
			"profesional", "mantenimiento", "maestro"},
		Near: []string{"cerca de mí", "cerca de mi ubicación", "cerca", "cercano", "cercana", "más cercano",
			"en mi zona", "por aquí"},
		Acts: []string{
			"instalación, instalar, instalador, montaje, montar, colocación, colocar, reemplazo, reemplazar, cambio, " +
				"cambiar, sustitución",
			"reparación, reparar, reparador, arreglo, arreglar, reparaciones",
			"limpieza, limpiar, limpiador, deshollinador, deshollinar", "lavado, lavar",
			"inspección, inspeccionar, inspector, revisión, revisar, diagnóstico",
			"eliminación, eliminar, retiro, retirar, remoción", "demolición, demoler, derribo",
			"pintura, pintar, pintor", "construcción, construir, constructor",
			"renovación, remodelación, remodelar, reforma, restauración, rehabilitación",
			"aislamiento, aislar", "alquiler, alquilar, renta, rentar", "entrega", "mudanza, mudanzas",
			"poda, podar, tala, talar", "desatasco, desatascar, destapar, vaciado, vaciar",
			"perforación, perforar", "impermeabilización, impermeabilizar, sellado", "diseño, diseñar",
			"control, fumigación, fumigar, fumigador, exterminador", "tratamiento, tratar",
			"excavación, excavar"},
		Goods: []string{"trabajo", "trabajos", "empleo", "empleos", "vacantes", "sueldo", "salario", "curso", "cursos",
			"formación", "escuela", "licencia", "permiso", "seguro", "subvención",
			"en venta", "venta", "usado", "usada", "segunda mano", "repuesto", "repuestos", "piezas", "refacciones",
			"materiales", "herramientas", "tienda", "comprar", "mayoreo",
			"proveedor", "kit", "software", "alquiler"},
		Generic: []string{"casa", "hogar", "residencial", "comercial", "industrial", "edificio", "grande", "pequeño",
			"nuevo", "nueva", "viejo", "madera", "metal", "obra", "trabajos de", "hoy", "gratis"},
		Endings: []string{"sl", "sa", "srl", "e hijos", "y hijos", "hermanos", "ltda", "sa de cv"},
		Ordinary: []string{"norte", "sur", "este", "oeste", "casa", "nuevo", "nueva", "grupo", "hermanos", "hijos",
			"san", "santa", "ciudad", "calle", "primera"},
	}
}
