# frozen_string_literal: true

module App
  # A file of JSON Schemas, one for each address: {"$defs", "routes": {"POST /api/books/:book_id/cells" => schema}}.
  class RouteSchemas
    # The block may make the schemas stricter than they are written.
    def initialize(file, &stricter)
      @file, @stricter, @schemers = file, stricter || :itself.to_proc, {}
    end

    def all = @all ||= JSON.parse(File.read(@file))

    # Routes as Sinatra names them.
    def routes = all["routes"].keys

    def schemer(route)
      @schemers[route] ||= TileLoom::Document::Schema.compiled(
        @stricter.call(all["routes"].fetch(route)).merge("$defs" => @stricter.call(all["$defs"]))
      )
    end
  end
end
