# frozen_string_literal: true

require "spec_helper"
require "socket"

# Programs that read users' files, without any look at the files before: what they could be made to read is not there.
RSpec.describe TileLoom::Sandbox::Confinement do
  secret = "planted-8a41c6"

  around do |example|
    Dir.mktmpdir do |folder|
      @beside, @folder = File.join(folder, "secret.txt"), File.join(folder, "arrivals").tap { |path| Dir.mkdir(path) }
      File.write(@beside, "id,name\n1,#{secret}\n")
      example.run
    end
  end

  def file(name, bytes) = File.join(@folder, name).tap { |path| File.binwrite(path, bytes) }

  kinds = [TileLoom::Sandbox::Bubblewrap, TileLoom::Sandbox::Landlock].map(&:new)
    .select(&:works?)
    .freeze

  it "has a tight one on this machine, which Debian's bubblewrap gives" do
    expect(kinds).not_to be_empty
    expect(described_class.of_machine).to be_tight
    expect(described_class.warning).to be_nil
  end

  kinds.each do |sandbox|
    describe sandbox.class.name do
      define_method(:run) do |*command, **more|
        TileLoom::Sandbox::LimitedProcess.new("x", sandbox: sandbox, **more).capture(*command)
      end

      it "shows a program the files that it is given, and lets it write where it may" do
        given = file("given.txt", "given")
        expect(run("cat", given, reads: [given])).to eq("given")
        expect { run("cat", @beside, reads: [given]) }.to invalid
        expect { run("cat", "/etc/passwd") }.to invalid
        expect { run("cat", File.join(TileLoom::ROOT, "Gemfile")) }.to invalid
        expect { run("sh", "-c", "echo x > #{given}", reads: [given]) }.to invalid
        expect(run("sh", "-c", "echo x > made && cat made").strip).to eq("x")
        target = Dir.mktmpdir
        run("sh", "-c", "echo made > #{target}/a", writes: [target])
        expect(File.read("#{target}/a")).to eq("made\n")
        expect { run("sh", "-c", "ln -s #{@beside} a && cat a") }.to invalid
        expect { run("cat", "/proc/#{::Process.pid}/environ") }.to invalid
      ensure
        FileUtils.rm_rf(target) if target
      end

      it "lets it reach no host and no other process" do
        server = TCPServer.new("127.0.0.1", 0)
        expect { run("bash", "-c", "exec 3<>/dev/tcp/127.0.0.1/#{server.addr[1]}") }.to invalid
        expect { run("bash", "-c", "kill -0 #{::Process.pid}") }.to invalid
      ensure
        server&.close
      end

      # Every trick of the hostile files at once, by GDAL itself with the format's own drivers, and with all drivers
      # this GDAL has.
      it "keeps a file beside the store from every format that could ask for it" do
        tricks(@beside).each do |path|
          TileLoom::Sandbox::GdalProcess.all_drivers.then do |all|
            read =
              [
                %w[ogrinfo -al -oo LIST_ALL_TABLES=YES],
                %w[gdalinfo -stats],
                %w[ogr2ogr -f GeoJSONSeq /vsistdout/],
                %w[gdal_translate -of XYZ /vsistdout/]
              ].map do |command|
                TileLoom::Sandbox::GdalProcess.new("x", drivers: all, sandbox: sandbox, reads: [path]).capture(
                  *(command.first.match?(/info/) ? [*command, path] : [*command.first(3), path, *command.drop(3)])
                )
              rescue TileLoom::Refusal => error
                error.detail.to_s
              end
            expect(read.join.gsub(path, "")).not_to include(secret), path
          end
        end
      end

      it "keeps it from SQL, with SQLite's shell and with GDAL's" do
        statements(@beside).each_with_index do |sql, index|
          path = geopackage(index, sql)
          asked =
            [
              ["sqlite3", path, "SELECT * FROM leak"],
              ["sqlite3", path, "SELECT * FROM \"rtree_/*x\""],
              ["sqlite3", path, "SELECT readfile('#{@beside}')"],
              ["ogrinfo", "-al", "-oo", "LIST_ALL_TABLES=YES", path],
              ["ogrinfo", path, "-sql", "SELECT * FROM leak"]
            ].map do |command|
              run(*command, reads: [path])
            rescue TileLoom::Refusal => error
              error.detail.to_s
            end
          expect(asked.join.gsub(path, "")).not_to include(secret), sql
        end
      end
    end
  end

  # So that what is tried above would show it.
  it "is what keeps it: without one the same tricks read it" do
    open = TileLoom::Sandbox::Unboxed.new
    reads = ->(*command) do
      all = TileLoom::Sandbox::GdalProcess.all_drivers
      TileLoom::Sandbox::GdalProcess.new("x", drivers: all, sandbox: open).capture(*command)
    rescue TileLoom::Refusal => error
      error.detail.to_s
    end
    expect(reads["ogrinfo", "-al", tricks(@beside).first]).to include(secret)
    expect(reads["ogrinfo", geopackage(0, statements(@beside)[1]), "-sql", 'SELECT * FROM "rtree_/*x"']).to include(
      secret
    )
  end

  # The very way a file takes in the application, but for the look that is taken first.
  it "keeps it from the readers of the application with the look at SQLite switched off" do
    statements(@beside).each_with_index do |sql, index|
      path = geopackage(index, sql)
      allow_any_instance_of(TileLoom::Sandbox::SqliteCheck).to receive(:demand)
      said =
        begin
          layers = TileLoom::Data::Inspection.new(path).layers.map(&:name)
          features =
            layers.flat_map do |layer|
              TileLoom::Data::FileReader
                .open(path, layer: layer, target: TileLoom::Crs::System.find("EPSG:25829"), lenient: true)
                .features
                .map(&:attributes)
            rescue TileLoom::Refusal => error
              [error.message, error.detail]
            end
          [layers, features]
        rescue TileLoom::Refusal => error
          [error.message, error.detail]
        end
      expect(said.to_s).not_to include(secret), sql
    end
  end

  it "refuses formats that run SQL where there is none, unless the operator says otherwise" do
    path = geopackage(0, "SELECT 1")
    allow(described_class).to receive(:of_machine).and_return(TileLoom::Sandbox::Unboxed.new)
    expect { TileLoom::Data::Inspection.new(path).layers }.to invalid(/nothing that keeps its own files from it/)
    expect(described_class.warning).to match(/GeoPackage and MBTiles are refused \(UNBOXED_SQL=allow/)
    ENV["UNBOXED_SQL"] = "allow"
    expect(TileLoom::Data::Inspection.new(path).layers.map(&:name)).to eq(["huts"])
    expect(described_class.warning).to match(/read all the same/)
  ensure
    ENV.delete("UNBOXED_SQL")
  end

  # Files that name another one, each in its format's way.
  def tricks(target)
    [
      file(
        "a.vrt",
        %(<OGRVRTDataSource><OGRVRTLayer name="secret"><SrcDataSource>CSV:#{target}</SrcDataSource><SrcLayer>secret</SrcLayer></OGRVRTLayer></OGRVRTDataSource>)
      ),
      file(
        "b.vrt",
        %(<VRTDataset rasterXSize="4" rasterYSize="4"><VRTRasterBand dataType="Byte" band="1" subClass="VRTRawRasterBand"><SourceFilename relativetoVRT="0">#{target}</SourceFilename></VRTRasterBand></VRTDataset>)
      ),
      file(
        "a.gml",
        %(<?xml version="1.0"?><!DOCTYPE x [<!ENTITY leak SYSTEM "file://#{target}">]><gml:FeatureCollection xmlns:gml="http://www.opengis.net/gml" xmlns:x="http://x" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" xsi:schemaLocation="http://x #{target}"><gml:featureMember><x:a><x:name>&leak;</x:name><x:g><gml:Point><gml:coordinates>1,2</gml:coordinates></gml:Point></x:g></x:a></gml:featureMember></gml:FeatureCollection>)
      ),
      file(
        "a.kml",
        %(<kml xmlns="http://www.opengis.net/kml/2.2"><Document><NetworkLink><Link><href>#{target}</href></Link></NetworkLink><Placemark><name>a</name><Point><coordinates>1,2</coordinates></Point></Placemark></Document></kml>)
      ),
      file("a.csv", "x,y\n1,2\n").tap { |path| file("a.csvt", "CSV(#{target})") && path },
      file("a.wms", "<GDAL_WMS><Service name=\"TMS\"><ServerUrl>file://#{target}</ServerUrl></Service></GDAL_WMS>"),
      file("a.asc", "ncols 1\nnrows 1\nxllcorner 0\nyllcorner 0\ncellsize 1\n#{target}\n"),
      file(
        "a.gpx",
        %(<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY leak SYSTEM "file://#{target}">]><gpx version="1.1"><wpt lat="1" lon="2"><name>&leak;</name></wpt></gpx>)
      ),
      file("a.prj", "@#{target}")
    ]
  end

  def statements(target)
    text = "VirtualText(''#{target}'',''UTF-8'',0,COMMA,DOUBLEQUOTE,'','')"
    insert = ->(name, sql) { "INSERT INTO sqlite_master VALUES ('table', '#{name}', '#{name}', 0, '#{sql}')" }
    [
      insert["leak", "CREATE VIRTUAL TABLE leak USING #{text}"],
      insert["rtree_/*x", %(CREATE VIRTUAL TABLE "rtree_/*x" USING #{text} --*/" USING rtree(a))],
      insert["leak", "CREATE VIRTUAL TABLE leak USING VirtualShape(''#{target}'', ''UTF-8'', 4326)"],
      insert["leak", "CREATE VIRTUAL TABLE leak USING csv(filename=''#{target}'')"],
      insert["leak", "CREATE VIRTUAL TABLE leak USING VirtualOGR(''CSV:#{target}'', ''secret'')"],
      "CREATE VIEW leak AS SELECT ogr_datasource_load_layers('CSV:#{target}'), readfile('#{target}'), BlobFromFile('#{target}')"
    ]
  end

  def geopackage(number, sql)
    path = File.join(@folder, "a#{number}.gpkg")
    outside("ogr2ogr", "-f", "GPKG", "-nln", "huts", path, File.join(TileLoom::ROOT, "demo/skarrow-moss/huts.geojson"))
    outside("sqlite3", path, "PRAGMA writable_schema=ON; #{sql}")
    path
  end
end
