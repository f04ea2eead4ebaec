# frozen_string_literal: true

module App
  module Routes
    # What the server says of itself.
    class House < Base
      # open: can others on the network reach it? There is no sign-in yet, so the page warns of that.
      get("/api/server") { json({"open" => BindAddress.open?(ENV["BIND"].to_s.strip)}) }
    end
  end
end
