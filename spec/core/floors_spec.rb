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
    "base" => %w[root units geometry values languages assets],
    "crs" => %w[crs],
    "drawing" => %w[scene type artwork],
    "data" => %w[sandbox templates conditions data raster],
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

  # file → what it calls, and why it may.
  reflecting = {
    "lib/tile_loom" => [
      # A list of kinds gathers the classes within its own module.
      ["values/kinds.rb", :constants],
      ["values/kinds.rb", :const_get],
      # Readers of a value's fields are written out as Ruby, for speed.
      ["values/value.rb", :class_eval]
    ],
    # The application loads the core.
    "app" => [["boot.rb", :require]]
  }
  define_method(:reflecting) { reflecting }

  {
    "lib/tile_loom" => floors.values.flatten,
    "app" => %w[platform models imports previews changes exports jobs routes root]
  }.each do |tree, order|
    describe "of #{tree}" do
      it "are known for every room" do
        expect(self.class.sources(tree).keys.map { |path| room(path) }.uniq - order).to be_empty
      end

      let(:graph) { ConstantGraph.new(self.class.sources(tree)) }

      it "have no arrow that runs up, and so no circle" do
        expect(rising(graph, order)).to eq([])
      end

      it "have no class that two rooms open" do
        expect(graph.split_classes).to eq({})
      end

      it "reach nothing by names that are not seen, but for what is listed here" do
        expect(graph.reflections.map { |found| [found.from, found.call] }.uniq).to match_array(reflecting.fetch(tree))
      end
    end
  end

  it "lie in the core without a word of the application" do
    named = self.class.sources("lib").select { |_, text| text.match?(/\bApp::|Sinatra|ActiveRecord/) }
    expect(named.keys).to be_empty
  end

  # What stands in units, the lowest room but one, and what is said of it.
  {
    "a class named" => ["def draw = View::FrameView.new", "uses View::FrameView of view, above units"],
    "a list of kinds of a room" => ['def form = Output::Forms.of("pdf")', "uses Output::Forms of output, above units"],
    "a namespace under another name" => [
      "Seen = View\n      def draw = Seen::FrameView.new",
      "uses View of view, above units"
    ]
  }.each do |what, (code, said)|
    it "tell file, line and constant of an arrow that runs up: #{what}" do
      expect(rising(planted("units/bad.rb" => inside("Units", code)), floors.values.flatten)).to eq(
        ["units/bad.rb:4 #{said}"]
      )
    end
  end

  {
    "a name that is made up at run time" => ["def draw = TileLoom.const_get(:View)::FrameView.new", :const_get],
    "the same by send" => ['def draw = TileLoom.send(:const_get, "View")', :const_get],
    "text that is run" => ['def draw = eval("View::FrameView")', :eval],
    "a file of the house" => ['require "tile_loom/view/frame_view"', :require],
    "a file beside it" => ['require_relative "../view/frame_view"', :require_relative]
  }.each do |what, (code, call)|
    it "tell what reaches a room by #{what}" do
      found = planted("units/bad.rb" => inside("Units", code)).reflections.select { |one| one.from == "units/bad.rb" }
      expect(found.map { |one| [one.line, one.call] }).to eq([[4, call]])
    end
  end

  it "tell of a class that another room opens, of whose uses none is lost" do
    graph = planted("units/bad.rb" => "module TileLoom\n  module View\n    class FrameView\n    end\n  end\nend\n")
    expect(graph.split_classes).to match("TileLoom::View::FrameView" => match_array(%w[units/ view/]))
  end

  def planted(more) = ConstantGraph.new(self.class.sources("lib/tile_loom").merge(more))

  def inside(name, code) = "module TileLoom\n  module #{name}\n    class Bad\n      #{code}\n    end\n  end\nend\n"
end
