# frozen_string_literal: true

# The order of the house, told in docs/architecture.md: an arrow may only run down.
RSpec.describe "The floors" do
  # The files of a tree, by their path in it.
  def self.sources(tree)
    root = File.join(TileLoom::ROOT, tree)
    Dir["#{root}/**/*.rb"].to_h { |file| [file.delete_prefix("#{root}/"), File.read(file)] }
  end

  def room(path) = path.include?("/") ? path.split("/").first : "root"

  # Uses that run up, each as a sentence; what is used within a room is the room's own affair.
  def rising(graph, order)
    up = graph.uses.select { |use| order.index(room(use.to)) > order.index(room(use.from)) }
    up.map { |use| "#{use.from}:#{use.line} uses #{use.constant} of #{room(use.to)}, above #{room(use.from)}" }
  end

  # From the ground up. Rooms of one floor stand in a row, the lowest first, and keep to that order too.
  floors = {
    "base" => %w[root units geometry values assets],
    "crs" => %w[crs],
    "drawing" => %w[scene type artwork],
    "data" => %w[data raster],
    "symbology" => %w[symbology labelling],
    "index" => %w[index],
    "view" => %w[view],
    "furniture" => %w[bar coordinate_grid map_legend table frames furniture],
    "layout" => %w[layout],
    "compose" => %w[compose],
    "output" => %w[output],
    "document" => %w[document],
    "command" => %w[command]
  }

  {
    "lib/tile_loom" => floors.values.flatten,
    "app" => %w[platform models imports previews changes exports jobs routes root]
  }.each do |tree, order|
    describe "of #{tree}" do
      it "are known for every room" do
        expect(self.class.sources(tree).keys.map { |path| room(path) }.uniq - order).to be_empty
      end

      it "have no arrow that runs up, and so no circle" do
        expect(rising(ConstantGraph.new(self.class.sources(tree)), order)).to eq([])
      end
    end
  end

  it "lie in the core without a word of the application" do
    named = self.class.sources("lib").select { |_, text| text.match?(/\bApp::|Sinatra|ActiveRecord/) }
    expect(named.keys).to be_empty
  end

  it "tell file, line and constant of an arrow that runs up" do
    wrong =
      "module TileLoom\n  module Units\n    class Bad\n      def draw = View::FrameView.new\n    end\n  end\nend\n"
    graph = ConstantGraph.new(self.class.sources("lib/tile_loom").merge("units/bad.rb" => wrong))
    expect(rising(graph, floors.values.flatten)).to eq(["units/bad.rb:4 uses View::FrameView of view, above units"])
  end
end
