# frozen_string_literal: true

module App
  module Routes
    # The front end as Vite built it, and the fonts that page, proof and PDF share.
    class Pages < Sinatra::Base
      BUILT = File.join(TileLoom::ROOT, "web/dist")

      disable :show_exceptions, :protection
      set :host_authorization, {}
      set :public_folder, BUILT
      set :static, true
      set :static_cache_control, [:public, max_age: 3600]

      before do
        next if request.path_info.start_with?("/api/")
        headers "Content-Security-Policy" =>
                  "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'",
          "X-Content-Type-Options" => "nosniff"
      end

      get "/fonts/:name" do
        face = TileLoom::Type::Library.files.find { |known| File.basename(known.file) == params["name"] }
        halt 404 unless face
        cache_control :public, max_age: 86_400
        send_file face.file, type: "font/ttf"
      end

      get("/api/*") do
        halt 404,
          {"content-type" => "application/json"},
          JSON.generate({"message" => "There is nothing at this address."})
      end

      get "/*" do
        page = File.join(BUILT, "index.html")
        halt 503, "The front end is not built yet; run bin/start." unless File.file?(page)
        cache_control :no_cache
        send_file page, type: "text/html"
      end
    end
  end
end
