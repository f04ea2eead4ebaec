# frozen_string_literal: true

module App
  module Routes
    # What the server says of itself.
    class House < Base
      # open: can others on the network reach it? There is no sign-in yet, so the page warns of that.
      # data_endings: of files that it reads; sizes: of pages.
      get("/api/server") do
        json(
          {
            "open" => BindAddress.open?(ENV["BIND"].to_s.strip),
            "data_endings" => TileLoom::Data::FileFormat::ALL.flat_map(&:endings),
            "sizes" => TileLoom::Layout::PageSize::ALL.keys
          }
        )
      end
    end
  end
end
