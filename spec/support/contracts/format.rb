# frozen_string_literal: true

# What a format of files of features answers (Data::Format): by which endings it is known, which of GDAL's drivers read
# it, which files belong together, and how it is written where it is. kind: the class, with `let`; reads_as: where it is
# written, the ending of a file in which the features are found again.
RSpec.shared_examples "a format of features" do
  let(:room) { TileLoom::Data::Formats }

  include_examples "a declared kind"

  it "is known by endings in lower case, and read by drivers that GDAL has" do
    expect(kind.endings).to all(match(/\A\.[a-z0-9.]+\z/))
    drivers = outside("ogrinfo", "--formats").scan(/^\s+(.+?) -[a-z,]+- /).map { |(name)| name.split.last }
    expect(kind.drivers).not_to be_empty
    expect(kind.drivers - drivers).to eq([])
    kind.endings.each { |ending| expect(room.of_file("MOSS#{ending.upcase}")).to be(kind) }
  end

  it "knows which files on a disk are one" do
    Dir.mktmpdir do |folder|
      file = File.join(folder, "moss#{kind.endings.first}")
      beside = kind.companions.map { |ending| File.join(folder, "moss#{ending}") }
      [file, *beside].each { |path| File.write(path, "") }
      expect(kind.files(file).uniq).to match_array([file, *beside].uniq)
    end
  end

  it "says how GDAL opens it" do
    expect(kind.open_options).to all(be_a(String))
    expect(kind.title_of_file).to include(kind.title)
    expect(kind.first_number).to be_nil.or be_an(Integer)
    expect([kind.table?, kind.degrees?, kind.written?]).to all(be(true).or(be(false)))
  end

  it "writes, where it does, what GDAL reads again: as many features, in their places" do
    next unless kind.written?
    expect(kind.type).to match(%r{\A[a-z]+/[\w.+-]+\z})
    expect([kind.ending, kind.written]).to all(start_with("."))
    crs = TileLoom::Crs::System.find("EPSG:25829")
    points = [[402_000.5, 6_528_000.24], [402_123.13, 6_528_456.71]]
    features =
      points.map do |place|
        {
          "type" => "Feature",
          "properties" => {
            "name" => "Fen"
          },
          "geometry" => {
            "type" => "Point",
            "coordinates" => place
          }
        }
      end
    TileLoom::Data::VectorFile
      .new("fens", kind.key, crs: crs, among: [kind.key], of: "layers")
      .make(features) do |path|
        expect(File.size(path)).to be_positive
        expect(found_again(path, crs)).to match_array(points.map { |place| place.map { |figure| figure.round(2) } })
      end
  end

  def found_again(path, crs)
    found = nil
    Dir.mktmpdir do |folder|
      file = File.join(folder, "fens#{kind.ending}")
      FileUtils.cp(path, file)
      columns = kind.table? ? TileLoom::Data::Columns.new({"wkt" => "WKT"}) : nil
      reader = TileLoom::Data::FileReader.open(file, target: crs, columns: columns, reference: kind.table? ? crs : nil)
      found = reader.features
    end
    found.map { |feature| feature.wkb.unpack("x5E2").map { |figure| figure.round(2) } }
  end
end
