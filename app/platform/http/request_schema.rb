# frozen_string_literal: true

module App
  # What each address takes in its JSON: types, ranges, lengths. A request is held against it before anything else is
  # done; what its parts mean together is for the address itself.
  module RequestSchema
    SCHEMAS = RouteSchemas.new(File.join(TileLoom::ROOT, "app/requests.json"))

    module_function

    def all = SCHEMAS.all

    def routes = SCHEMAS.routes

    def schemer(route) = SCHEMAS.schemer(route)

    # JSON other than book files.
    LARGEST_BYTES = 2 * 1024**2

    # Refuses what does not fit the route with the first finding.
    def demand(route, body)
      error = schemer(route).validate(body).first or return body
      raise TileLoom::Document::Schema.refusal(error, at: error["data_pointer"])
    end
  end
end
