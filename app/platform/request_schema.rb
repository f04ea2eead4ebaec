# frozen_string_literal: true

module App
  # What each address takes in its JSON: types, ranges, lengths. A request is held against it before anything else is
  # done; what its parts mean together is for the address itself.
  module RequestSchema
    FILE = File.join(TileLoom::ROOT, "app/requests.json")

    module_function

    # JSON other than book files.
    LARGEST_BYTES = 2 * 1024**2

    def all = @all ||= JSON.parse(File.read(FILE))

    # Routes as Sinatra names them: "POST /api/books/:book_id/cells".
    def routes = all["routes"].keys

    # Refuses what does not fit the route with the first finding.
    def demand(route, body)
      error = schemer(route).validate(body).first or return body
      raise TileLoom::Document::Schema.refusal(error, at: error["data_pointer"])
    end

    def schemer(route)
      @schemers ||= {}
      @schemers[route] ||= TileLoom::Document::Schema.compiled(
        all["routes"].fetch(route).merge("$defs" => all["$defs"])
      )
    end
  end
end
