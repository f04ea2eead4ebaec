# frozen_string_literal: true

require "app_helper"

# Who may come in, with what, and what goes out.
RSpec.describe "Doors" do
  before { empty_database }

  let(:book) { kept_book }

  describe "uploads" do
    # A form's fields can be called as Rack calls the parts of an upload.
    it "take nothing but a file that came with the request" do
      Dir.mktmpdir do |folder|
        secret = File.join(folder, "secret.geojson")
        File.write(secret, JSON.generate({"type" => "Point", "coordinates" => [-10.7, 58.8]}))
        fifo = File.join(folder, "fifo").tap { |path| File.mkfifo(path) }
        [secret, "/etc/passwd", "/dev/zero", fifo].each do |path|
          fields = {"file" => {"tempfile" => path, "filename" => "b.geojson", "type" => "application/json"}}
          %w[arrivals markers faces pictures cells/file design/file].each do |address|
            post("/api/books/#{book.id}/#{address}", fields, "HTTP_HOST" => "localhost")
            expect([last_response.status, answer["message"]]).to eq([422, "Choose a file to import."]),
              "#{address}: #{last_response.body}"
          end
          %w[/api/starts /api/bar-styles/file].each do |address|
            post(address, fields.merge("scale" => "2500"), "HTTP_HOST" => "localhost").then do
              expect(last_response.status).to eq(422)
            end
          end
        end
        expect([App::Arrival.count, App::Book.count]).to eq([0, 1])
      end
    end
  end

  describe "the name that is asked for" do
    def named(host, **more) = get("/api/books", {}, {"HTTP_HOST" => host}.merge(more.transform_keys(&:to_s)))

    it "is that of the Host header, whatever is said to have been forwarded" do
      {"HTTP_X_FORWARDED_HOST" => "localhost", "HTTP_FORWARDED" => "host=localhost"}.each do |header, value|
        expect(named("moor.example", header => value).status).to eq(403)
      end
      expect(named("localhost", HTTP_X_FORWARDED_HOST: "moor.example").status).to eq(200)
      ["LocalHost:7400", "127.0.0.1", "[::1]:7400"].each { |host| expect(named(host).status).to eq(200) }
      ["localhost@moor.example", "localhost, moor.example", "", "localhost:x", "\xFF"].each do |host|
        expect(named(host).status).to eq(403)
      end
    end

    it "may come from a proxy that the settings name" do
      guard =
        App::HostGuard.new(->(env) { [200, {}, [env.keys.grep(/FORWARDED/).join]] }, ["moor.example"], ["10.0.0.1"])
      asked = {"HTTP_HOST" => "inside", "HTTP_X_FORWARDED_HOST" => "moor.example"}
      expect(guard.call(asked.merge("REMOTE_ADDR" => "10.0.0.1"))[0]).to eq(200)
      expect(guard.call(asked.merge("REMOTE_ADDR" => "10.0.0.2"))[0]).to eq(403)
      expect(
        guard.call({"HTTP_HOST" => "moor.example", "HTTP_X_FORWARDED_PROTO" => "https", "REMOTE_ADDR" => "10.0.0.2"})[
          2
        ]
      ).to eq([""])
    end

    it "is one that the start command prints, and the page warns where others can reach the server" do
      expect(ask("/api/server").then { answer }).to include("open" => false)
      before = ENV["BIND"]
      ENV["BIND"] = "0.0.0.0"
      expect(App::Server.allowed_hosts).to include(Socket.gethostname)
      expect(ask("/api/server").then { answer }).to include("open" => true)
    ensure
      ENV["BIND"] = before
    end
  end

  it "says with every answer that it is what it is called and that nothing of it runs" do
    {
      "/api/books" => /\Adefault-src 'none'/,
      "/api/nothing" => /default-src 'none'/,
      "/api/books/#{book.id}/sheets/1.svg" => /default-src 'none'.*sandbox/,
      "/api/books/#{book.id}/index.svg" => /sandbox/,
      "/books" => /default-src 'self'/
    }.each do |path, policy|
      ask(path)
      expect(last_response.headers.to_h).to include(
        "x-content-type-options" => "nosniff",
        "content-security-policy" => policy
      ),
        path
    end
    get("/api/books", {}, "HTTP_HOST" => "moor.example")
    expect(last_response.headers["x-content-type-options"]).to eq("nosniff")
  end

  describe "bodies" do
    it "are of at most two megabytes and a hundred levels, but for book files" do
      send_json(:patch, "/api/books/#{book.id}", {patch: {title: "x" * 3_000_000}})
      expect([last_response.status, answer["message"]]).to eq(
        [413, "This is larger than 2 MB, the limit for one request."]
      )
      patch(
        "/api/books/#{book.id}",
        "{\"patch\":" + "[" * 200,
        "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "localhost"
      )
      expect([last_response.status, answer["message"]]).to match([422, /nested more than 100 levels/])
      post("/api/books", "[#{"[]," * 4_000_001}[]]", "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost")
      expect([last_response.status, answer["message"]]).to match(
        [422, /4,000,003 lists and objects; the limit is 4,000,000/]
      )
    end

    it "are of four gigabytes at most where data files come in, of two where a book is to be made of one" do
      long = ->(path, bytes) do
        App::BodyLimit.new(->(_) { [200, {}, []] }).call(
          Rack::MockRequest.env_for(path, :method => "POST", "CONTENT_TYPE" => "multipart/form-data; boundary=x").merge(
            "CONTENT_LENGTH" => bytes.to_s
          )
        )[
          0
        ]
      end
      gigabyte = 1024**3
      most = {"/api/starts" => 2 * gigabyte, "/api/books/1/arrivals" => 4 * gigabyte}
      expect(most.map { |path, bytes| [long[path, bytes], long[path, bytes + 1]] }).to eq([[200, 413]] * 2)
      expect(%w[/api/books/1/pictures /api/books].map { |path| long[path, gigabyte] }).to eq([413] * 2)
    end

    it "fit what their address takes, each with a schema" do
      routes =
        App::Server::ROUTES.flat_map do |group|
          group.routes.flat_map { |verb, list| list.map { |pattern, *| "#{verb} #{pattern}" } }
        end
      unknown = App::RequestSchema.routes - routes
      expect(unknown).to be_empty
      App::RequestSchema.routes.each { |route| expect(App::RequestSchema.schemer(route).valid_schema?).to be(true) }
    end

    it "hold numbers that can be reckoned with and texts that are texts" do
      path = "/api/books/#{book.id}"
      {
        '{"patch":{"index":{"scale":1e400}}}' => /beyond 1\.8e308/,
        '{"patch":{"title":"\ud800"}}' => /half a character|not JSON/,
        '{"patch":{"title":"a\u0000"}}' => /control character/,
        "{\"patch\":{\"title\":\"\xFF\"}}" => /not UTF-8/,
        '{"patch":[]}' => /must be an object/,
        "[]" => /not a JSON object/,
        '{"patch":{},"revision":"1"}' => /revision/
      }.each do |text, sentence|
        patch(path, text, "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost")
        expect([last_response.status, answer["message"]]).to match([422, sentence])
      end
      %w[/api/books/%ff /api/books?x=%ff /api/books/1/%00 /api/references?search=%C3%28].each do |address|
        expect(ask(address).status).to eq(400)
      end
      expect(
        get("/api/books?#{(0..5_000).map { |i| "a#{i}=1" }.join("&")}", {}, "HTTP_HOST" => "localhost").status
      ).to eq(400)
      %w[1,2,3,4,5 1,2,3 -1e308,-1e308,1e308,1e308 0,0,0,0 a,b,c,d nan,0,1,1].each do |box|
        ask("/api/books/#{book.id}/ground.svg?box=#{box}&width=100&height=100")
        expect([last_response.status, answer["message"]]).to match([422, /“box” must be/])
      end
    end
  end

  it "ends a request that takes too long in words, and uses its connection no more" do
    slow =
      Rack::Builder
        .new do
          use App::Deadline, seconds: 1
          run(->(_env) { ActiveRecord::Base.connection.select_value("SELECT SLEEP(20)").then { [200, {}, ["done"]] } })
        end
        .to_app
    status, headers, body = slow.call(Rack::MockRequest.env_for("/"))
    expect([status, headers["retry-after"], JSON.parse(body.first)["message"]]).to match(
      [503, "10", /stopped; nothing was changed/]
    )
    expect(ActiveRecord::Base.connection.select_value("SELECT 7")).to eq(7)
  end

  it "says that the disk is full, and keeps nothing of the file" do
    allow(App::Originals).to receive(:keep).and_raise(Errno::ENOSPC)
    file = Rack::Test::UploadedFile.new(StringIO.new("{}"), "application/json", original_filename: "a.geojson")
    post("/api/books/#{book.id}/arrivals", {"file" => file}, "HTTP_HOST" => "localhost")
    expect([last_response.status, answer["message"]]).to match([507, /disk is full/])
    expect([App::Arrival.count, Delayed::Job.count]).to eq([0, 0])
  end

  it "keeps what a full database cannot take in words, too" do
    allow(App::Book).to receive(:kept).and_raise(
      ActiveRecord::StatementInvalid.new("Trilogy::ProtocolError: 1114: The table 'books' is full")
    )
    expect(ask("/api/books/1").status).to eq(507)
  end

  it "takes no list over another's without being told what it was made on" do
    send_json(:patch, "/api/books/#{book.id}", {patch: {fields: [{name: "a"}]}})
    expect([last_response.status, answer["message"]]).to match([428, /which revision of the book/])
    send_json(:patch, "/api/books/#{book.id}", {patch: {fields: [{name: "a"}]}, revision: book.revision})
    expect(last_response.status).to eq(200)
    send_json(:patch, "/api/books/#{book.id}", {patch: {title: "Alone"}})
    expect(last_response.status).to eq(200)
  end

  # The server itself, with what goes before its connections.
  describe "a request that comes slowly" do
    require "puma"
    require "puma/server"
    Puma::Client.prepend(App::LeastRate) unless Puma::Client.ancestors.include?(App::LeastRate)

    def drip(head, body)
      puma =
        Puma::Server.new(
          ->(_) { [200, {}, ["done"]] },
          nil,
          {log_writer: Puma::LogWriter.null, first_data_timeout: 30}
        )
      port = puma.add_tcp_listener("127.0.0.1", 0).addr[1]
      puma.run
      socket = TCPSocket.new("127.0.0.1", port)
      socket.write(head)
      body.each { |part| socket.write(part) && sleep(0.1) }
      socket.read.lines.first.to_s
    rescue Errno::EPIPE, Errno::ECONNRESET
      "ended"
    ensure
      socket&.close
      puma&.stop(true)
    end

    it "is ended below a least rate, and one that is quick enough is not" do
      stub_const("App::LeastRate::GRACE_S", 0.3)
      head = "POST / HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Length: 30\r\n\r\n"
      stub_const("App::LeastRate::BYTES_A_SECOND", 1_000)
      expect(drip(head, ["a"] * 30)).to match(/408|ended/)
      expect(drip("GET / HTTP/1.1\r\nX-Slow: ", ["a"] * 30)).to match(/408|ended/)
      stub_const("App::LeastRate::BYTES_A_SECOND", 1)
      expect(drip(head, ["aaa"] * 10)).to include("200")
    end
  end
end
