# frozen_string_literal: true

module TileLoom
  module Ground
    # A layer of the book: its place in the drawing order is its place in the book's list, the first at
    # the bottom. The first rule that a feature meets draws it.
    class Layer
      attr_reader :id, :title, :rules, :label

      def initialize(settings, path: nil)
        @id = settings["id"]
        @title = settings["title"]
        @visible = settings.fetch("visible", true)
        @rules = settings["rules"].each_with_index.map { |rule, index| Rule.new(rule, path: "#{path}/rules/#{index}") }
        @label = settings["label"] && Label.new(settings["label"])
      end

      def visible? = @visible

      def reach_mm = rules.map { |rule| rule.symbol.reach_mm }.max.to_f

      def scene_layer = Scene::Layer.new(id: id, title: title)
    end
  end
end
